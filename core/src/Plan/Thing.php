<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** Anything in a plan that has an id of its own. Things are immutable; an edit makes a new one. */
interface Thing
{
    public static function kind(): ThingKind;

    /** The fields that a thing of this kind has in files, in the database and in edits. */
    public static function shape(): Shape;

    /** @return static */
    public static function from(Values $values): self;

    public function id(): string;

    /** What to call it on a screen. */
    public function label(): string;

    /** @return array<string, mixed> plain values by field name, as a plan file holds them */
    public function values(): array;
}
