<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** One value that goes with a function, or comes with an answer. */
final readonly class ProtocolValue
{
    public const MOST = 8;

    /**
     * @param  int  $bits  in a packet
     * @param  bool  $signed  two's complement
     * @param  bool  $given  it is the one that the plan sets or reads; otherwise it is always the same
     * @param  string  $fixed  what it is always: a number (0x for hexadecimal), in words any text; empty in an answer for whatever it may be
     * @param  string  $on  what on is, where it is only on or off; empty where it is a number
     * @param  string  $off  what off is
     * @param  int|null  $lowest  of the plan's figures, in their unit
     * @param  int|null  $highest  of the plan's figures, in their unit
     * @param  int  $times  a figure of the plan times this …
     * @param  int  $divided  … divided by this is the number on the line
     * @param  int  $decimals  in words: how many of its digits stand behind the point
     */
    public function __construct(
        public string $name,
        public int $bits = 8,
        public bool $signed = false,
        public bool $given = false,
        public string $fixed = '',
        public string $on = '',
        public string $off = '',
        public ?int $lowest = null,
        public ?int $highest = null,
        public int $times = 1,
        public int $divided = 1,
        public int $decimals = 0,
        public string $unit = '',
    ) {
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::label('name', 24, 'What the manual calls it.'),
            Field::whole('bits', 1, 32, 'In a packet: how many bits it takes.', 8),
            Field::flag('signed', 'Whether it may be less than nothing (two\'s complement).'),
            Field::flag('given', 'Whether it is the one that the plan sets or reads; otherwise it is always the same.'),
            Field::label('fixed', 24, 'What it is always: a number, 0x before a hexadecimal one; in words any text. In an answer, empty for whatever it may be.'),
            Field::label('on', 24, 'What on is, where it is only on or off.'),
            Field::label('off', 24, 'What off is.'),
            Field::whole('lowest', -32_768, 32_767, 'The least it is set to, in its unit.')->nullable(),
            Field::whole('highest', -32_768, 32_767, 'The most it is set to, in its unit.')->nullable(),
            Field::whole('times', 1, 1_000, 'A figure of the plan times this …', 1),
            Field::whole('divided', 1, 1_000, '… divided by this is the number on the line.', 1),
            Field::whole('decimals', 0, 4, 'In words: how many of its digits stand behind the point.', 0),
            Field::label('unit', 12, 'Unit of the plan\'s figure.'),
        );
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('name'),
            $values->whole('bits'),
            $values->flag('signed'),
            $values->flag('given'),
            $values->text('fixed'),
            $values->text('on'),
            $values->text('off'),
            $values->wholeOrNull('lowest'),
            $values->wholeOrNull('highest'),
            $values->whole('times'),
            $values->whole('divided'),
            $values->whole('decimals'),
            $values->text('unit'),
        );
    }

    /** It is on or off, and nothing between. */
    public function isSwitch(): bool
    {
        return $this->on !== '' || $this->off !== '';
    }

    /** @return array<string, mixed> */
    public function values(): array
    {
        return [
            'name' => $this->name,
            'bits' => $this->bits,
            'signed' => $this->signed,
            'given' => $this->given,
            'fixed' => $this->fixed,
            'on' => $this->on,
            'off' => $this->off,
            'lowest' => $this->lowest,
            'highest' => $this->highest,
            'times' => $this->times,
            'divided' => $this->divided,
            'decimals' => $this->decimals,
            'unit' => $this->unit,
        ];
    }
}
