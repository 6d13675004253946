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
     * @param  bool  $reverse  for a stick: the other way round at this target
     * @param  int  $trim  for a stick: added to its way, per cent
     * @param  int  $endLow  for a stick: how much of its way down it goes, per cent
     * @param  int  $endHigh  for a stick: how much of its way up
     * @param  string|null  $mixedId  for a stick: another that is added to it, as steering is to driving
     * @param  int  $fadeMs  over how long the output goes there, where it can
     * @param  bool  $mixSubtracts  that one is taken away instead: the other side of a vehicle
     */
    public function __construct(
        public string $id,
        public string $controlId,
        public string $outputId,
        public Action $action,
        public ?int $pulseMs = null,
        public int $order = 0,
        public ?int $value = null,
        public bool $reverse = false,
        public int $trim = 0,
        public int $endLow = 100,
        public int $endHigh = 100,
        public ?string $mixedId = null,
        public bool $mixSubtracts = false,
        public int $fadeMs = 0,
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
            Field::flag('reverse', 'For a stick: whether it works this output the other way round.'),
            Field::whole('trim', -50, 50, 'For a stick: what is added to its way, per cent of it.', 0),
            Field::whole('endLow', 0, 100, 'For a stick: how much of the way down the output goes, per cent.', 100),
            Field::whole('endHigh', 0, 100, 'For a stick: how much of the way up the output goes, per cent.', 100),
            Field::mentions('mixedId', ThingKind::Control, 'For a stick: another stick of its node that is added to it, as steering is to driving.'),
            Field::flag('mixSubtracts', 'Whether that one is taken away instead: the other side of a vehicle.'),
            Field::whole('fadeMs', 0, 600_000, 'Over how long the output goes there, where it can; 0 for at once.', 0, 'ms'),
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
            $values->flag('reverse'),
            $values->whole('trim'),
            $values->whole('endLow'),
            $values->whole('endHigh'),
            $values->textOrNull('mixedId'),
            $values->flag('mixSubtracts'),
            $values->whole('fadeMs'),
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
        return $this->action->putsOff($this->value);
    }

    /** It holds its output to where the control stands, so that it is at odds with any other master. */
    public function holdsToControl(): bool
    {
        return $this->action->holds() || ($this->action === Action::Set && $this->value === null);
    }

    /** Both ask the same of one output: whoever obeys need not tell them apart. */
    public function asksTheSameAs(self $other): bool
    {
        return [$this->outputId, $this->action, $this->pulseMs, $this->value, $this->fadeMs] === [$other->outputId, $other->action, $other->pulseMs, $other->value, $other->fadeMs];
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
            'reverse' => $this->reverse,
            'trim' => $this->trim,
            'endLow' => $this->endLow,
            'endHigh' => $this->endHigh,
            'mixedId' => $this->mixedId,
            'mixSubtracts' => $this->mixSubtracts,
            'fadeMs' => $this->fadeMs,
        ];
    }
}
