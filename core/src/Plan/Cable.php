<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** A cable from one node to another: its cores are all there is. */
final readonly class Cable implements Thing
{
    public const MOST_CORES = 100;

    /**
     * @param  float|null  $lengthM  as it is laid
     * @param  float|null  $mm2  copper of one core
     * @param  bool  $twisted  its cores are pairs, each twisted: 1 and 2, 3 and 4, …
     * @param  string  $connector  what is on its ends, in the builder's words
     * @param  list<CableCore>  $uses
     */
    public function __construct(
        public string $id,
        public string $fromId,
        public string $toId,
        public string $name,
        public int $cores = 4,
        public ?float $lengthM = null,
        public ?float $mm2 = null,
        public bool $twisted = false,
        public bool $screened = false,
        public string $connector = '',
        public array $uses = [],
        public int $order = 0,
        public bool $owned = false,
    ) {
    }

    public static function kind(): ThingKind
    {
        return ThingKind::Cable;
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::id(),
            Field::joins('fromId', ThingKind::Node, 'The node at its first end.'),
            Field::joins('toId', ThingKind::Node, 'The node at its other end.'),
            Field::name(),
            Field::whole('cores', 1, self::MOST_CORES, 'How many cores it has.', 4),
            Field::number('lengthM', 0.05, 5_000, 'How long it is, as it is laid.', null, 'm')->nullable(),
            Field::number('mm2', 0.03, 50, 'Copper of one core.', null, 'mm²')->nullable(),
            Field::flag('twisted', 'Whether its cores are twisted pairs: 1 with 2, 3 with 4.'),
            Field::flag('screened', 'Whether a screen is around them; it goes to ground at one end.'),
            Field::label('connector', 60, 'What is on its ends.'),
            Field::records('uses', CableCore::shape(), self::MOST_CORES, 'Which core is for what.'),
            Field::order(),
            Field::owned(),
        );
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('id'),
            $values->text('fromId'),
            $values->text('toId'),
            $values->text('name'),
            $values->whole('cores'),
            $values->numberOrNull('lengthM'),
            $values->numberOrNull('mm2'),
            $values->flag('twisted'),
            $values->flag('screened'),
            $values->text('connector'),
            array_map(static fn (array $one): CableCore => CableCore::from(new Values($one)), $values->objects('uses')),
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

    /** Its cores for use, with those that are free: the lowest first. */
    public function freeCore(): ?int
    {
        return $this->freeCores()[0] ?? null;
    }

    /** @return list<int> */
    public function freeCores(): array
    {
        $taken = array_map(static fn (CableCore $one): int => $one->core, $this->uses);

        return array_values(array_diff(range(1, $this->cores), $taken));
    }

    public function values(): array
    {
        return [
            'id' => $this->id,
            'fromId' => $this->fromId,
            'toId' => $this->toId,
            'name' => $this->name,
            'cores' => $this->cores,
            'lengthM' => $this->lengthM,
            'mm2' => $this->mm2,
            'twisted' => $this->twisted,
            'screened' => $this->screened,
            'connector' => $this->connector,
            'uses' => array_map(static fn (CableCore $one): array => $one->values(), $this->uses),
            'order' => $this->order,
            'owned' => $this->owned,
        ];
    }
}
