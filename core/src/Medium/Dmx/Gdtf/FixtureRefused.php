<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Gdtf;

use RuntimeException;

/** An archive that is no description of a fixture, or that nobody should open. */
final class FixtureRefused extends RuntimeException
{
    public static function because(string $why): self
    {
        return new self($why);
    }
}
