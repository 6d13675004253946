<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** What feeds something: a plug, a cell, a regulator, a pin of the board. What it does not say, its class says. */
final readonly class Supply implements Thing
{
    /**
     * @param  string  $class  a key of the catalogue
     * @param  string|null  $parentId  the supply it lives on; that of a board's pin follows from what feeds the board
     * @param  FeedsAt|null  $feedsAt  the input at which it feeds the board of its node
     * @param  float|null  $volts  what it gives; null as its class
     * @param  float|null  $sourceOhm  its own resistance with its wires
     * @param  float|null  $cableM  length of the two-core cable to what it feeds
     */
    public function __construct(
        public string $id,
        public string $nodeId,
        public string $class,
        public string $name,
        public ?string $parentId = null,
        public ?FeedsAt $feedsAt = null,
        public ?float $volts = null,
        public ?float $limitMa = null,
        public ?float $sourceOhm = null,
        public ?float $capacityMah = null,
        public ?float $fuseA = null,
        public ?float $cableM = null,
        public ?float $cableMm2 = null,
        public int $order = 0,
        public bool $owned = false,
    ) {
    }

    public static function kind(): ThingKind
    {
        return ThingKind::Supply;
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::id(),
            Field::partOf('nodeId', ThingKind::Node, 'The node it is at.'),
            Field::key('class', 'What class of supply it is, a key of the catalogue.'),
            Field::name(),
            Field::shares('parentId', ThingKind::Supply, 'The supply that it lives on itself, on this node or on another.'),
            Field::choice('feedsAt', FeedsAt::class, 'The input at which it feeds the board of its node.')->nullable(),
            Field::number('volts', 0.1, 60, 'What it gives; as its class, where nothing is said.', null, 'V')->nullable(),
            Field::number('limitMa', 1, 100_000, 'What may be drawn from it; as its class, where nothing is said.', null, 'mA')->nullable(),
            Field::number('sourceOhm', 0.001, 100, 'Its own resistance and that of its wires; as its class, where nothing is said.', null, 'Ω')->nullable(),
            Field::number('capacityMah', 1, 10_000_000, 'What a battery holds; as its class, where nothing is said.', null, 'mAh')->nullable(),
            Field::number('fuseA', 0.05, 100, 'The fuse behind it.', null, 'A')->nullable(),
            Field::number('cableM', 0, 1_000, 'Length of the cable from it to what it feeds.', null, 'm')->nullable(),
            Field::number('cableMm2', 0.03, 50, 'Copper of one core of that cable.', null, 'mm²')->nullable(),
            Field::order(),
            Field::owned(),
        );
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('id'),
            $values->text('nodeId'),
            $values->text('class'),
            $values->text('name'),
            $values->textOrNull('parentId'),
            $values->choiceOrNull('feedsAt', FeedsAt::class),
            $values->numberOrNull('volts'),
            $values->numberOrNull('limitMa'),
            $values->numberOrNull('sourceOhm'),
            $values->numberOrNull('capacityMah'),
            $values->numberOrNull('fuseA'),
            $values->numberOrNull('cableM'),
            $values->numberOrNull('cableMm2'),
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
        return $this->name;
    }

    public function values(): array
    {
        return [
            'id' => $this->id,
            'nodeId' => $this->nodeId,
            'class' => $this->class,
            'name' => $this->name,
            'parentId' => $this->parentId,
            'feedsAt' => $this->feedsAt?->value,
            'volts' => $this->volts,
            'limitMa' => $this->limitMa,
            'sourceOhm' => $this->sourceOhm,
            'capacityMah' => $this->capacityMah,
            'fuseA' => $this->fuseA,
            'cableM' => $this->cableM,
            'cableMm2' => $this->cableMm2,
            'order' => $this->order,
            'owned' => $this->owned,
        ];
    }
}
