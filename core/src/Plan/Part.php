<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** A discrete part at one terminal of a module: what the builder puts between. */
final readonly class Part implements Thing
{
    public function __construct(
        public string $id,
        public string $moduleId,
        public string $terminal,
        public PartKind $kind,
        public ?float $ohms = null,
        public ?float $lowerOhms = null,
        public ?float $microfarads = null,
        public float $esrOhm = 0.05,
        public int $order = 0,
        public bool $owned = false,
    ) {
    }

    public static function kind(): ThingKind
    {
        return ThingKind::Part;
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::id(),
            Field::partOf('moduleId', ThingKind::Module, 'The module it is at.'),
            Field::text('terminal', 40, 'The terminal it is at, signal or supply.'),
            Field::choice('kind', PartKind::class, 'What it is.'),
            Field::number('ohms', 0.1, 10_000_000, 'The resistor in the wire, at the base, or the pull; of a divider the upper one.', null, 'Ω')->nullable(),
            Field::number('lowerOhms', 0.1, 10_000_000, 'The lower resistor of a divider.', null, 'Ω')->nullable(),
            Field::number('microfarads', 0.000_001, 1_000_000, 'The capacitor.', null, 'µF')->nullable(),
            Field::number('esrOhm', 0, 10, 'The capacitor\'s own resistance.', 0.05, 'Ω'),
            Field::order(),
            Field::owned(),
        );
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('id'),
            $values->text('moduleId'),
            $values->text('terminal'),
            $values->choice('kind', PartKind::class),
            $values->numberOrNull('ohms'),
            $values->numberOrNull('lowerOhms'),
            $values->numberOrNull('microfarads'),
            $values->number('esrOhm'),
            $values->whole('order'),
            $values->flag('owned'),
        );
    }

    public function id(): string
    {
        return $this->id;
    }

    public function label(): string
    {
        return "{$this->kind->words()} at {$this->terminal}";
    }

    public function values(): array
    {
        return [
            'id' => $this->id,
            'moduleId' => $this->moduleId,
            'terminal' => $this->terminal,
            'kind' => $this->kind->value,
            'ohms' => $this->ohms,
            'lowerOhms' => $this->lowerOhms,
            'microfarads' => $this->microfarads,
            'esrOhm' => $this->esrOhm,
            'order' => $this->order,
            'owned' => $this->owned,
        ];
    }

    /** @return float|null the share of a voltage that a divider lets through; null for what is none */
    public function share(): ?float
    {
        return $this->kind === PartKind::Divider && $this->ohms !== null && $this->lowerOhms !== null ? $this->lowerOhms / ($this->ohms + $this->lowerOhms) : null;
    }
}
