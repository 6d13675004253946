<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** One of the ways in which a fixture can be set to take its slots. */
final readonly class FixtureMode
{
    public const MOST = 24;

    /** @param  list<FixtureSlot>  $slots */
    public function __construct(public string $name, public array $slots)
    {
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::text('name', 40, 'What its manual or menu calls it.'),
            Field::records('slots', FixtureSlot::shape(), FixtureSlot::MOST, 'What it is told.'),
        );
    }

    public static function from(Values $values): self
    {
        return new self($values->text('name'), array_map(FixtureSlot::from(...), $values->each('slots')));
    }

    /** @return int how many slots it takes, from its start address to the last that it knows */
    public function footprint(): int
    {
        return max([0, ...array_map(static fn (FixtureSlot $slot): int => max($slot->at, $slot->fineAt ?? 0), $this->slots)]);
    }

    public function slot(?string $name): ?FixtureSlot
    {
        foreach ($this->slots as $slot) {
            if ($slot->name === $name) {
                return $slot;
            }
        }

        return null;
    }

    /** @return array<string, mixed> */
    public function values(): array
    {
        return ['name' => $this->name, 'slots' => array_map(static fn (FixtureSlot $slot): array => $slot->values(), $this->slots)];
    }
}
