<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Plan\Shape\Field;
use Rundfunk\Plan\Shape\Shape;
use Rundfunk\Plan\Shape\Values;

/** One control, one action, one output. A control that does several things has several routes. */
final readonly class Route implements Thing
{
    public function __construct(
        public string $id,
        public string $controlId,
        public string $outputId,
        public Action $action,
        public ?int $pulseMs = null,
        public int $order = 0,
    ) {
    }

    public static function kind(): ThingKind
    {
        return ThingKind::Route;
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::id(),
            Field::reference('controlId', ThingKind::Control, 'What is worked.'),
            Field::reference('outputId', ThingKind::Output, 'What it works on.'),
            Field::choice('action', Action::class, 'What it does to it.'),
            Field::whole('pulseMs', 10, 3_600_000, 'For a pulse: how long, milliseconds.')->nullable(),
            Field::order(),
        );
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('id'),
            $values->text('controlId'),
            $values->text('outputId'),
            $values->choice('action', Action::class),
            $values->wholeOrNull('pulseMs'),
            $values->whole('order'),
        );
    }

    public function id(): string
    {
        return $this->id;
    }

    public function label(): string
    {
        return $this->action->value;
    }

    public function values(): array
    {
        return [
            'id' => $this->id,
            'controlId' => $this->controlId,
            'outputId' => $this->outputId,
            'action' => $this->action->value,
            'pulseMs' => $this->pulseMs,
            'order' => $this->order,
        ];
    }
}
