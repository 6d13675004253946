<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use RuntimeException;

/** Words for a bridge that it could not read. */
final class BridgeFormRefused extends RuntimeException
{
    public static function because(string $why): self
    {
        return new self($why);
    }
}
