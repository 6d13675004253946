<?php

declare(strict_types=1);

namespace Rundfunk\Electrical;

use Rundfunk\OutOfRange;

/** Between what the weakest chip can still pull low and what is quick enough for the bus. Source: I²C-bus specification UM10204, 7.1. */
final readonly class I2cPullUp
{
    /** What every chip must sink, and the low level that it must reach with it. */
    private const SINK_A = 0.003;

    private const LOW_V = 0.4;

    /** From 0.3 to 0.7 of the supply: ln(0.7 / 0.3). */
    private const RISE = 0.8473;

    /** @throws OutOfRange */
    public function __construct(public float $supplyV, public float $busPf, public float $riseNs)
    {
        OutOfRange::unless('supply_v', $supplyV, 1, 5.5);
        OutOfRange::unless('bus_pf', $busPf, 1, 4000);
        OutOfRange::unless('rise_ns', $riseNs, 10, 10_000);
    }

    public function minimumOhm(): float
    {
        return ($this->supplyV - self::LOW_V) / self::SINK_A;
    }

    public function maximumOhm(): float
    {
        return $this->riseNs * 1e-9 / (self::RISE * $this->busPf * 1e-12);
    }
}
