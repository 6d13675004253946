<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** What loads hang on besides the plan's own supplies: a circuit of the house, with what protects it. */
final readonly class Circuit implements Thing
{
    /**
     * @param  string|null  $parentId  the circuit that it branches off, as a lead to the yard does
     * @param  float  $volts  nominal
     * @param  float|null  $fuseA  rating of the fuse or breaker at its beginning; null where there is none, or nobody looked
     * @param  bool  $timeLag  its fuse bears what is drawn at switching on; a breaker of characteristic C or slower
     * @param  bool  $inNeutral  its fuse is in the neutral conductor, where it saves nobody
     * @param  bool  $residual  behind a residual-current device of 30 mA
     * @param  float|null  $mm2  copper of one core of its fixed wiring or lead
     */
    public function __construct(
        public string $id,
        public string $name,
        public ?string $placeId = null,
        public ?string $parentId = null,
        public float $volts = 230.0,
        public bool $direct = false,
        public ?float $fuseA = null,
        public bool $timeLag = false,
        public bool $inNeutral = false,
        public bool $residual = false,
        public ?float $mm2 = null,
        public bool $outdoors = false,
        public int $order = 0,
        public string $note = '',
    ) {
    }

    public static function kind(): ThingKind
    {
        return ThingKind::Circuit;
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::id(),
            Field::name(),
            Field::mentions('placeId', ThingKind::Place, 'Where it begins.'),
            Field::shares('parentId', ThingKind::Circuit, 'The circuit that it branches off.'),
            Field::number('volts', 1, 1_000, 'Its voltage.', 230.0, 'V'),
            Field::flag('direct', 'Whether it is direct current.'),
            Field::number('fuseA', 0.05, 100, 'Rating of the fuse or breaker at its beginning.', null, 'A')->nullable(),
            Field::flag('timeLag', 'Whether that bears what lamps and motors draw at first: a time-lag fuse, a breaker of characteristic C.'),
            Field::flag('inNeutral', 'Whether its fuse is in the neutral instead of the line.'),
            Field::flag('residual', 'Whether a residual-current device of 30 mA is before it.'),
            Field::number('mm2', 0.03, 50, 'Copper of one core of its wiring.', null, 'mm²')->nullable(),
            Field::flag('outdoors', 'Whether anything on it is outdoors or in a wet place.'),
            Field::order(),
            Field::note(),
        );
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('id'),
            $values->text('name'),
            $values->textOrNull('placeId'),
            $values->textOrNull('parentId'),
            $values->number('volts'),
            $values->flag('direct'),
            $values->numberOrNull('fuseA'),
            $values->flag('timeLag'),
            $values->flag('inNeutral'),
            $values->flag('residual'),
            $values->numberOrNull('mm2'),
            $values->flag('outdoors'),
            $values->whole('order'),
            $values->text('note'),
        );
    }

    /** Touching it can kill. Source: extra-low voltage ends at 50 V of alternating and 120 V of direct current (IEC 61140). */
    public function isDangerous(): bool
    {
        return $this->volts > ($this->direct ? 120.0 : 50.0);
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
            'name' => $this->name,
            'placeId' => $this->placeId,
            'parentId' => $this->parentId,
            'volts' => $this->volts,
            'direct' => $this->direct,
            'fuseA' => $this->fuseA,
            'timeLag' => $this->timeLag,
            'inNeutral' => $this->inNeutral,
            'residual' => $this->residual,
            'mm2' => $this->mm2,
            'outdoors' => $this->outdoors,
            'order' => $this->order,
            'note' => $this->note,
        ];
    }
}
