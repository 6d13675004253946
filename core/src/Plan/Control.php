<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** Something a person works, or a sensor, a clock or another program. */
final readonly class Control implements Thing
{
    /**
     * @param  array<string, bool|float|int|string|null>  $settings  obeying its kind's own shape
     * @param  string|null  $measuredId  for a state: the contact or reading that senses it; null where the node only says what it told the output
     */
    public function __construct(
        public string $id,
        public string $nodeId,
        public string $name,
        public ControlKind $kind,
        public ?string $moduleId = null,
        public ?string $terminal = null,
        public bool $pinned = false,
        public int $debounceMs = 20,
        public int $order = 0,
        public array $settings = [],
        public ?string $measuredId = null,
    ) {
    }

    public static function kind(): ThingKind
    {
        return ThingKind::Control;
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::id(),
            Field::partOf('nodeId', ThingKind::Node, 'The node it is on.'),
            Field::name(),
            Field::choice('kind', ControlKind::class, 'How it is worked.'),
            Field::mentions('moduleId', ThingKind::Module, 'The pad or stick it is part of.'),
            Field::text('terminal', 24, 'Which key or axis of that module.')->nullable(),
            Field::flag('pinned', 'Whether the user fixed the key or axis.'),
            Field::whole('debounceMs', 0, 500, 'How long it must be steady before it counts, milliseconds.', 20),
            Field::order(),
            Field::settings('settings', 'What it has besides; which settings there are depends on its kind.'),
            Field::mentions('measuredId', ThingKind::Control, 'For a state: the contact or reading that senses it; none where the node only says what it told the output.'),
        );
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('id'),
            $values->text('nodeId'),
            $values->text('name'),
            $values->choice('kind', ControlKind::class),
            $values->textOrNull('moduleId'),
            $values->textOrNull('terminal'),
            $values->flag('pinned'),
            $values->whole('debounceMs'),
            $values->whole('order'),
            $values->settings('settings'),
            $values->textOrNull('measuredId'),
        );
    }

    /** It tells a value by itself: a position, a reading, a slider, a text with a number in it, how an output stands. */
    public function saysValue(): bool
    {
        return match ($this->kind) {
            ControlKind::Axis, ControlKind::Reading, ControlKind::Text, ControlKind::State => true,
            ControlKind::Widget => (new Values($this->settings))->text('shape') === 'slider',
            default => false,
        };
    }

    /** @return int how often a state is told while it stays, seconds; 0 for changes only, and for what is no state */
    public function toldEveryS(): int
    {
        return $this->kind === ControlKind::State ? (new Values($this->settings))->whole('everyS') : 0;
    }

    public function id(): string
    {
        return $this->id;
    }

    public function label(): string
    {
        return $this->name;
    }

    public function values(): array
    {
        return [
            'id' => $this->id,
            'nodeId' => $this->nodeId,
            'name' => $this->name,
            'kind' => $this->kind->value,
            'moduleId' => $this->moduleId,
            'terminal' => $this->terminal,
            'pinned' => $this->pinned,
            'debounceMs' => $this->debounceMs,
            'order' => $this->order,
            'settings' => $this->settings,
            'measuredId' => $this->measuredId,
        ];
    }
}
