<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

/** How a stick's way becomes one target's value: two vehicles on one stick are not alike. */
final readonly class Travel
{
    /**
     * @param  int  $lowest  of the target's span
     * @param  int  $trim  −512…512, added to −1024…1024
     * @param  int  $endLow  0–1024: how much of its way down it goes
     * @param  int  $endHigh  0–1024: how much of its way up
     * @param  int  $mixedWith  another of the node's sticks that is added to it, from 0; −1 for none
     * @param  bool  $mixSubtracts  that one is taken away instead
     */
    public function __construct(
        public int $lowest,
        public int $highest,
        public bool $reverse = false,
        public int $trim = 0,
        public int $endLow = Axis::FULL,
        public int $endHigh = Axis::FULL,
        public int $mixedWith = -1,
        public bool $mixSubtracts = false,
    ) {
    }

    /**
     * Driving and steering to the two sides of a vehicle: their sum and their difference, both made smaller where one of them would
     * be more than full. Common practice.
     *
     * @param  int  $position  −1024…1024
     * @param  int  $other  −1024…1024
     * @return int −1024…1024
     */
    public function mixed(int $position, int $other): int
    {
        $sum = $position + ($this->mixSubtracts ? -$other : $other);

        return intdiv($sum * Axis::FULL, max(Axis::FULL, abs($position) + abs($other)));
    }

    /**
     * @param  int  $position  −1024…1024
     * @return int a value of the span. Where that has two sides, nought is the middle; where it has one, the middle is half way.
     */
    public function value(int $position): int
    {
        $full = Axis::FULL;
        $y = max(-$full, min($full, ($this->reverse ? -$position : $position) + $this->trim));
        $y = intdiv($y * ($y < 0 ? $this->endLow : $this->endHigh), $full);
        if ($this->lowest < 0 && $this->highest > 0) {
            return intdiv($y * ($y < 0 ? -$this->lowest : $this->highest), $full);
        }

        return $this->lowest + intdiv(($y + $full) * ($this->highest - $this->lowest), 2 * $full);
    }
}
