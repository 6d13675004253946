<?php

declare(strict_types=1);

namespace Rundfunk\Electrical;

use Rundfunk\OutOfRange;

/** Two resistors that leave a share of a voltage, with nothing drawn from between them. Source: Ohm's law. */
final readonly class Divider
{
    /**
     * @param  float  $r1Ohm  from the voltage to the middle
     * @param  float  $r2Ohm  from the middle to ground
     *
     * @throws OutOfRange
     */
    public function __construct(public float $vinV, public float $r1Ohm, public float $r2Ohm)
    {
        OutOfRange::unless('vin_v', $vinV, 0, 1000);
        OutOfRange::unless('r1_ohm', $r1Ohm, 0, 100e6);
        OutOfRange::unless('r2_ohm', $r2Ohm, 0.01, 100e6);
    }

    public function voutV(): float
    {
        return $this->vinV * $this->r2Ohm / ($this->r1Ohm + $this->r2Ohm);
    }

    /** @return float milliamperes through both */
    public function currentMa(): float
    {
        return $this->vinV / ($this->r1Ohm + $this->r2Ohm) * 1000;
    }
}
