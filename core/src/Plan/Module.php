<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** A part added to a node's board: a radio, a relay bank, a button pad. */
final readonly class Module implements Thing
{
    /** @param  string|null  $signalSupplyId  what feeds the signal side of a relay board whose jumper is off; null while its supply feeds both */
    public function __construct(
        public string $id,
        public string $nodeId,
        public string $class,
        public string $name,
        public ?string $supplyId = null,
        public int $order = 0,
        public bool $pinned = false,
        public bool $owned = false,
        public string $prefix = '',
        public ?string $signalSupplyId = null,
    ) {
    }

    public static function kind(): ThingKind
    {
        return ThingKind::Module;
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::id(),
            Field::partOf('nodeId', ThingKind::Node, 'The node it is part of.'),
            Field::classOf('class', ThingKind::OwnModule, 'What class of module it is.'),
            Field::name(),
            Field::shares('supplyId', ThingKind::Supply, 'The supply that feeds it.'),
            Field::order(),
            Field::flag('pinned', 'Whether Assign leaves it on the supply that feeds it.'),
            Field::owned(),
            Field::label('prefix', 4, 'What its pins are called by, before their number, where it has pins for others.'),
            Field::shares('signalSupplyId', ThingKind::Supply, 'The supply of its signal side, where that is fed apart from its coils.'),
        );
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('id'),
            $values->text('nodeId'),
            $values->text('class'),
            $values->text('name'),
            $values->textOrNull('supplyId'),
            $values->whole('order'),
            $values->flag('pinned'),
            $values->flag('owned'),
            $values->text('prefix'),
            $values->textOrNull('signalSupplyId'),
        );
    }

    /** @return string what a pin is called that it has for others: "X3" */
    public function pinName(int $number): string
    {
        return ($this->prefix === '' ? 'X' : $this->prefix).$number;
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
            'class' => $this->class,
            'name' => $this->name,
            'supplyId' => $this->supplyId,
            'order' => $this->order,
            'pinned' => $this->pinned,
            'owned' => $this->owned,
            'prefix' => $this->prefix,
            'signalSupplyId' => $this->signalSupplyId,
        ];
    }
}
