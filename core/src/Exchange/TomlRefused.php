<?php

declare(strict_types=1);

namespace Rundfunk\Exchange;

use RuntimeException;

final class TomlRefused extends RuntimeException
{
    public static function at(int $line, string $what): self
    {
        return new self("Line {$line} {$what}.");
    }
}
