<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/**
 * Some bits of a bus message that say one thing. Places count as in DBC files: the bit n of byte m is 8·m + n, n = 0 the least; of a signal
 * with the low byte first the place is that of its lowest bit, with the high byte first that of its highest.
 */
final readonly class BusSignal
{
    public const MOST = 64;

    public const NAME_LONGEST = 24;

    /** @param  int|null  $equals  where it is asked only whether it is this figure: then it is 1, and 0 for any other */
    public function __construct(
        public string $name,
        public int $start,
        public int $bits,
        public bool $highFirst = false,
        public bool $signed = false,
        public float $scale = 1.0,
        public float $offset = 0.0,
        public string $unit = '',
        public string $names = '',
        public ?int $equals = null,
    ) {
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::text('name', self::NAME_LONGEST, 'What readings and functions call it.'),
            Field::whole('start', 0, 63, 'Where it begins: the bit n of byte m is 8·m + n. Low byte first: its lowest bit; high byte first: its highest.', 0),
            Field::whole('bits', 1, 64, 'How many bits it has.', 1),
            Field::flag('highFirst', 'Whether the high byte comes first (big-endian) instead of the low one (little-endian).'),
            Field::flag('signed', 'Whether its highest bit is a sign, in two\'s complement.'),
            Field::number('scale', -1e9, 1e9, 'What one of it is worth.', 1.0),
            Field::number('offset', -1e9, 1e9, 'What is added to that.', 0.0),
            Field::label('unit', 12, 'The unit of what comes of it.'),
            Field::label('names', 400, 'What figures mean, as "0=off, 1=on".'),
            Field::whole('equals', -2_147_483_648, 2_147_483_647, 'Where it is asked only whether it is this figure: then it is 1, and 0 for any other.')->nullable(),
        );
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('name'),
            $values->whole('start'),
            $values->whole('bits'),
            $values->flag('highFirst'),
            $values->flag('signed'),
            $values->number('scale'),
            $values->number('offset'),
            $values->text('unit'),
            $values->text('names'),
            $values->wholeOrNull('equals'),
        );
    }

    /** @return array<string, mixed> */
    public function values(): array
    {
        return ['name' => $this->name, 'start' => $this->start, 'bits' => $this->bits, 'highFirst' => $this->highFirst, 'signed' => $this->signed, 'scale' => $this->scale, 'offset' => $this->offset, 'unit' => $this->unit, 'names' => $this->names, 'equals' => $this->equals];
    }
}
