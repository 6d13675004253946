<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/**
 * One code that a bought remote sends or a bought appliance obeys, as learned by pressing its keys: a protocol with
 * address and command where one is known, the bare timings where none is.
 */
final readonly class KeyCode implements Thing
{
    /**
     * @param  string  $protocol  as the medium names it; "raw" while only timings are known
     * @param  string|null  $number  what a foreign keymap calls it, hexadecimal, for protocols that are known by name alone
     * @param  string  $timings  marks and spaces in microseconds, mark first: "9000 4500 560 …"
     * @param  string|null  $format  how the bits are timed, for protocols that are described rather than named
     * @param  Action|null  $action  what it makes its output do
     * @param  int|null  $value  for a set: to which value; for a step: how far, up or down
     */
    public function __construct(
        public string $id,
        public string $nodeId,
        public string $name,
        public string $protocol,
        public ?int $address = null,
        public ?int $command = null,
        public ?string $number = null,
        public ?int $carrierHz = null,
        public string $timings = '',
        public ?string $format = null,
        public ?string $controlId = null,
        public ?string $outputId = null,
        public ?Action $action = null,
        public int $order = 0,
        public ?int $value = null,
    ) {
    }

    public static function kind(): ThingKind
    {
        return ThingKind::KeyCode;
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::id(),
            Field::partOf('nodeId', ThingKind::Node, 'The remote or appliance it belongs to.'),
            Field::name(),
            Field::key('protocol', 'How it is sent, as the medium names it; "raw" while only timings are known.'),
            Field::whole('address', 0, 0xFFFF_FFFF, 'Which kind of device it is meant for.')->nullable(),
            Field::whole('command', 0, 0xFFFF_FFFF, 'Which of its commands.')->nullable(),
            Field::text('number', 24, 'What a foreign keymap calls it, for protocols known by name alone.')->nullable(),
            Field::whole('carrierHz', 10_000, 1_000_000_000, 'The carrier it is sent on, hertz.')->nullable(),
            Field::longText('timings', 4_000, 'Marks and spaces in microseconds, mark first.'),
            Field::text('format', 200, 'How the bits are timed, for protocols that are described rather than named.')->nullable(),
            Field::mentions('controlId', ThingKind::Control, 'The key that sends it.'),
            Field::mentions('outputId', ThingKind::Output, 'The function that obeys it.'),
            Field::choice('action', Action::class, 'What it makes that function do.')->nullable(),
            Field::order(),
            Field::whole('value', -10_000, 10_000, 'For a set: to which value. For a step: how far, up or down.')->nullable(),
        );
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('id'),
            $values->text('nodeId'),
            $values->text('name'),
            $values->text('protocol'),
            $values->wholeOrNull('address'),
            $values->wholeOrNull('command'),
            $values->textOrNull('number'),
            $values->wholeOrNull('carrierHz'),
            $values->text('timings'),
            $values->textOrNull('format'),
            $values->textOrNull('controlId'),
            $values->textOrNull('outputId'),
            $values->choiceOrNull('action', Action::class),
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
        return $this->name;
    }

    public function values(): array
    {
        return [
            'id' => $this->id,
            'nodeId' => $this->nodeId,
            'name' => $this->name,
            'protocol' => $this->protocol,
            'address' => $this->address,
            'command' => $this->command,
            'number' => $this->number,
            'carrierHz' => $this->carrierHz,
            'timings' => $this->timings,
            'format' => $this->format,
            'controlId' => $this->controlId,
            'outputId' => $this->outputId,
            'action' => $this->action?->value,
            'order' => $this->order,
            'value' => $this->value,
        ];
    }
}
