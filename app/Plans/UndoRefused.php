<?php

declare(strict_types=1);

namespace App\Plans;

use RuntimeException;

final class UndoRefused extends RuntimeException
{
    public static function another(string $label): self
    {
        return new self("Another edit has come in between: the next would be \"{$label}\".");
    }

    public static function nothingToUndo(): self
    {
        return new self('There is nothing of yours to undo.');
    }

    public static function nothingToRedo(): self
    {
        return new self('There is nothing of yours to do again.');
    }

    public static function changedSince(string $label, string $who): self
    {
        return new self("\"{$label}\" cannot be replayed: {$who} has changed the same things since.");
    }

    public static function inTheWay(string $label): self
    {
        return new self("\"{$label}\" cannot be replayed: later changes stand in the way.");
    }
}
