<?php

declare(strict_types=1);

namespace Rundfunk;

use RuntimeException;

/** A figure outside what a formula is good for. */
final class OutOfRange extends RuntimeException
{
    private function __construct(public readonly string $field, string $message)
    {
        parent::__construct($message);
    }

    public static function unless(string $field, int|float $value, int|float $lowest, int|float $highest): void
    {
        if ($value < $lowest || $value > $highest) {
            throw new self($field, "{$field} must be from {$lowest} to {$highest}, not {$value}.");
        }
    }

    public static function because(string $field, string $message): self
    {
        return new self($field, $message);
    }
}
