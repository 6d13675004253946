<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** One address that an endpoint answers to. A receiver with several pipes has several. */
final readonly class Address implements Thing
{
    public function __construct(
        public string $id,
        public string $endpointId,
        public int $pipe,
        public ?string $value = null,
        public bool $pinned = false,
    ) {
    }

    public static function kind(): ThingKind
    {
        return ThingKind::Address;
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::id(),
            Field::partOf('endpointId', ThingKind::Endpoint, 'The endpoint that answers to it.'),
            Field::whole('pipe', 0, 255, 'Which of the receiver\'s pipes listens for it.', 0),
            Field::text('value', 24, 'As written in the link\'s own notation: hexadecimal for packet radio, most significant byte first.')->nullable(),
            Field::flag('pinned', 'Whether the user fixed it.'),
        );
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('id'),
            $values->text('endpointId'),
            $values->whole('pipe'),
            $values->textOrNull('value'),
            $values->flag('pinned'),
        );
    }

    public function id(): string
    {
        return $this->id;
    }

    public function label(): string
    {
        return $this->value ?? 'no address yet';
    }

    public function values(): array
    {
        return [
            'id' => $this->id,
            'endpointId' => $this->endpointId,
            'pipe' => $this->pipe,
            'value' => $this->value,
            'pinned' => $this->pinned,
        ];
    }
}
