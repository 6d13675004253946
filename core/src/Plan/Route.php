<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** One control, one action, one output. A control that does several things has several routes. */
final readonly class Route implements Thing
{
    /**
     * @param  int|null  $value  for a set: to which value, null when the control says it; for a step: how far, up or down
     */
    public function __construct(
        public string $id,
        public string $controlId,
        public string $outputId,
        public Action $action,
        public ?int $pulseMs = null,
        public int $order = 0,
        public ?int $value = null,
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
            Field::joins('controlId', ThingKind::Control, 'What is worked.'),
            Field::joins('outputId', ThingKind::Output, 'What it works on.'),
            Field::choice('action', Action::class, 'What it does to it.'),
            Field::whole('pulseMs', 10, 3_600_000, 'For a pulse: how long, milliseconds.')->nullable(),
            Field::order(),
            Field::whole('value', -10_000, 10_000, 'For a set: to which value; none when the control says it. For a step: how far, up or down.')->nullable(),
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
            $values->wholeOrNull('value'),
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

    /** It can only put its output off: nothing that this asks for sets anything going. */
    public function putsOff(): bool
    {
        return $this->action === Action::Off || ($this->action === Action::Set && $this->value === 0);
    }

    /** It holds its output to where the control stands, so that it is at odds with any other master. */
    public function holdsToControl(): bool
    {
        return $this->action->holds() || ($this->action === Action::Set && $this->value === null);
    }

    /** Both ask the same of one output: whoever obeys need not tell them apart. */
    public function asksTheSameAs(self $other): bool
    {
        return [$this->outputId, $this->action, $this->pulseMs, $this->value] === [$other->outputId, $other->action, $other->pulseMs, $other->value];
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
            'value' => $this->value,
        ];
    }
}
