<?php

declare(strict_types=1);

namespace Rundfunk\Medium;

use RuntimeException;

final class UnknownMedium extends RuntimeException
{
    public static function named(string $key): self
    {
        return new self("This program knows no medium \"{$key}\".");
    }
}
