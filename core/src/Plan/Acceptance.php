<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** A finding the user has read and lives with, and why. The finding stays listed. */
final readonly class Acceptance implements Thing
{
    public function __construct(public string $id, public string $findingId, public string $reason)
    {
    }

    public static function kind(): ThingKind
    {
        return ThingKind::Acceptance;
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::id(),
            Field::text('findingId', 80, 'The finding, as its own id names it.'),
            Field::text('reason', 500, 'Why it is accepted.'),
        );
    }

    public static function from(Values $values): self
    {
        return new self($values->text('id'), $values->text('findingId'), $values->text('reason'));
    }

    public function id(): string
    {
        return $this->id;
    }

    public function label(): string
    {
        return $this->reason;
    }

    public function values(): array
    {
        return ['id' => $this->id, 'findingId' => $this->findingId, 'reason' => $this->reason];
    }
}
