<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** What hangs on an output, or beside the outputs on a circuit: with what it takes, and where it is plugged in. */
final readonly class Load implements Thing
{
    /**
     * @param  string|null  $circuitId  what feeds it, where that is no supply of the plan
     * @param  string|null  $supplyId  the supply of the plan that feeds it
     * @param  float|null  $watts  what one of them takes, as its plate says
     * @param  int  $count  how many of them hang there
     * @param  float  $leakageMa  what one lets through to earth
     * @param  float|null  $mm2  copper of one core of its cord
     * @param  float|null  $fuseA  a fuse of its own
     * @param  string  $outlet  the number on the outlet
     * @param  bool  $pinned  Assign leaves it on its output and its circuit
     */
    public function __construct(
        public string $id,
        public string $name,
        public ?string $outputId = null,
        public ?string $circuitId = null,
        public ?string $supplyId = null,
        public LoadKind $sort = LoadKind::Resistive,
        public LoadUse $use = LoadUse::Switched,
        public ?float $watts = null,
        public int $count = 1,
        public float $leakageMa = 0.0,
        public ?float $mm2 = null,
        public ?float $fuseA = null,
        public FusePlace $fuseAt = FusePlace::Before,
        public bool $breaksNeutral = false,
        public string $outlet = '',
        public string $connector = '',
        public string $colour = '',
        public bool $pinned = false,
        public int $order = 0,
        public string $note = '',
    ) {
    }

    public static function kind(): ThingKind
    {
        return ThingKind::Load;
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::id(),
            Field::name(),
            Field::mentions('outputId', ThingKind::Output, 'The output that switches it.'),
            Field::shares('circuitId', ThingKind::Circuit, 'The circuit that feeds it.'),
            Field::shares('supplyId', ThingKind::Supply, 'The supply of the plan that feeds it, where no circuit does.'),
            Field::choiceOr('sort', LoadKind::Resistive, 'What it is to a contact.'),
            Field::choiceOr('use', LoadUse::Switched, 'Whether it is switched, always on, spare, or unplugged this season.'),
            Field::number('watts', 0.01, 20_000, 'What one of them takes, as its plate says.', null, 'W')->nullable(),
            Field::whole('count', 1, 1_000, 'How many of them hang there.', 1),
            Field::number('leakageMa', 0, 100, 'What one of them lets through to earth.', 0.0, 'mA'),
            Field::number('mm2', 0.03, 50, 'Copper of one core of its cord.', null, 'mm²')->nullable(),
            Field::number('fuseA', 0.05, 100, 'A fuse of its own.', null, 'A')->nullable(),
            Field::choiceOr('fuseAt', FusePlace::Before, 'Where that fuse is.'),
            Field::flag('breaksNeutral', 'Whether its output breaks the neutral instead of the line.'),
            Field::label('outlet', 12, 'The number on the outlet that it is plugged into.'),
            Field::label('connector', 60, 'What is on its cord.'),
            Field::label('colour', 30, 'By what it is told from others like it.'),
            Field::flag('pinned', 'Whether Assign leaves it on its output and its circuit.'),
            Field::order(),
            Field::note(),
        );
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('id'),
            $values->text('name'),
            $values->textOrNull('outputId'),
            $values->textOrNull('circuitId'),
            $values->textOrNull('supplyId'),
            $values->choice('sort', LoadKind::class),
            $values->choice('use', LoadUse::class),
            $values->numberOrNull('watts'),
            $values->whole('count'),
            $values->number('leakageMa'),
            $values->numberOrNull('mm2'),
            $values->numberOrNull('fuseA'),
            $values->choice('fuseAt', FusePlace::class),
            $values->flag('breaksNeutral'),
            $values->text('outlet'),
            $values->text('connector'),
            $values->text('colour'),
            $values->flag('pinned'),
            $values->whole('order'),
            $values->text('note'),
        );
    }

    /** @return float|null all of them together; null while nobody has read the plate */
    public function allWatts(): ?float
    {
        return $this->watts === null ? null : $this->watts * $this->count;
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
            'outputId' => $this->outputId,
            'circuitId' => $this->circuitId,
            'supplyId' => $this->supplyId,
            'sort' => $this->sort->value,
            'use' => $this->use->value,
            'watts' => $this->watts,
            'count' => $this->count,
            'leakageMa' => $this->leakageMa,
            'mm2' => $this->mm2,
            'fuseA' => $this->fuseA,
            'fuseAt' => $this->fuseAt->value,
            'breaksNeutral' => $this->breaksNeutral,
            'outlet' => $this->outlet,
            'connector' => $this->connector,
            'colour' => $this->colour,
            'pinned' => $this->pinned,
            'order' => $this->order,
            'note' => $this->note,
        ];
    }
}
