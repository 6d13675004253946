<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** What an end of a bus sends under one identifier, as its maker or a recording says. */
final readonly class BusMessage implements Thing
{
    public const ID_MOST = 0x1FFF_FFFF;

    /** @param  list<BusSignal>  $signals */
    public function __construct(
        public string $id,
        public string $endpointId,
        public string $name,
        public int $identifier,
        public bool $extended = false,
        public int $bytes = 8,
        public int $periodMs = 0,
        public array $signals = [],
        public string $evidence = '',
        public int $order = 0,
    ) {
    }

    public static function kind(): ThingKind
    {
        return ThingKind::BusMessage;
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::id(),
            Field::partOf('endpointId', ThingKind::Endpoint, 'The end of a bus that sends it.'),
            Field::name(),
            Field::whole('identifier', 0, self::ID_MOST, 'Its identifier: the lower, the more urgent.'),
            Field::flag('extended', 'Whether the identifier has 29 bits instead of 11.'),
            Field::whole('bytes', 0, 8, 'How many bytes of data it has.', 8),
            Field::whole('periodMs', 0, 3_600_000, 'How often it comes; 0 where only something that changes sends it.', 0, 'ms'),
            Field::records('signals', BusSignal::shape(), BusSignal::MOST, 'What its bits say.'),
            Field::label('evidence', 200, 'How it was found, where it was found in a recording.'),
            Field::order(),
        );
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('id'),
            $values->text('endpointId'),
            $values->text('name'),
            $values->whole('identifier'),
            $values->flag('extended'),
            $values->whole('bytes'),
            $values->whole('periodMs'),
            array_map(BusSignal::from(...), $values->each('signals')),
            $values->text('evidence'),
            $values->whole('order'),
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
            'endpointId' => $this->endpointId,
            'name' => $this->name,
            'identifier' => $this->identifier,
            'extended' => $this->extended,
            'bytes' => $this->bytes,
            'periodMs' => $this->periodMs,
            'signals' => array_map(static fn (BusSignal $one): array => $one->values(), $this->signals),
            'evidence' => $this->evidence,
            'order' => $this->order,
        ];
    }
}
