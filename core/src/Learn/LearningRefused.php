<?php

declare(strict_types=1);

namespace Rundfunk\Learn;

use RuntimeException;

/** A capture or keymap from which nothing can be learned. */
final class LearningRefused extends RuntimeException
{
    public static function because(string $what): self
    {
        return new self($what);
    }
}
