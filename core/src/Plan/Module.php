<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** A part added to a node's board: a radio, a relay bank, a button pad. */
final readonly class Module implements Thing
{
    public function __construct(
        public string $id,
        public string $nodeId,
        public string $class,
        public string $name,
        public ?SupplyFrom $supply = null,
        public int $order = 0,
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
            Field::key('class', 'What class of module it is, a key of the catalogue.'),
            Field::name(),
            Field::choice('supply', SupplyFrom::class, 'Where it takes its current.')->nullable(),
            Field::order(),
        );
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('id'),
            $values->text('nodeId'),
            $values->text('class'),
            $values->text('name'),
            $values->choiceOrNull('supply', SupplyFrom::class),
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
            'nodeId' => $this->nodeId,
            'class' => $this->class,
            'name' => $this->name,
            'supply' => $this->supply?->value,
            'order' => $this->order,
        ];
    }
}
