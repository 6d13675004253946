<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

/** From what a converter reads to the unit, by two points on a straight line: a probe dry and wet, a level empty and full. */
final readonly class Scale
{
    /**
     * @param  int  $rawFrom  what is read at the first point
     * @param  int  $unitFrom  thousandths of the unit there
     * @param  int  $rawTo  what is read at the second, another than at the first
     * @param  int  $unitTo  thousandths there
     */
    public function __construct(public int $rawFrom, public int $unitFrom, public int $rawTo, public int $unitTo)
    {
    }

    /** @return int thousandths, cut off towards nought, within ±{@see Gauge::MOST} */
    public function milli(int $raw): int
    {
        return max(-Gauge::MOST, min(Gauge::MOST, $this->unitFrom + intdiv(($raw - $this->rawFrom) * ($this->unitTo - $this->unitFrom), $this->rawTo - $this->rawFrom)));
    }
}
