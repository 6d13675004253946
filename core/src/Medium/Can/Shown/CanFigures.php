<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Shown;

use Rundfunk\Shape\ListOf;

/** The figures of a bus: how full it is, what comes over it and how late that can be, bit by bit. */
final readonly class CanFigures
{
    public function __construct(
        public int $bitrate,
        /** @var float share of the time that it is taken, at worst stuffing */
        public float $load,
        public bool $foreign,
        /** @var float metres that it reaches at its rate */
        public float $reachM,
        /** @var float|null ohms between the two wires, measured without power; null without a resistor */
        public ?float $totalOhm,
        /** @var list<CanRow> the most urgent first */
        #[ListOf(CanRow::class)]
        public array $rows,
        /** @var list<CanEndFigures> in the order along the cable */
        #[ListOf(CanEndFigures::class)]
        public array $ends,
    ) {
    }
}
