<?php

declare(strict_types=1);

namespace Rundfunk\Electrical;

use Rundfunk\OutOfRange;

/**
 * Two copper wires side by side, there and back, at 20 °C. Sources: resistivity of annealed copper, IEC 60028; diameters of
 * AWG, ASTM B258.
 */
final readonly class CopperPair
{
    private const OHM_M = 1.724e-8;

    /**
     * @param  float  $areaMm2  of one wire
     * @param  float  $lengthM  of the cable: the current goes twice as far
     *
     * @throws OutOfRange
     */
    public function __construct(public float $areaMm2, public float $lengthM)
    {
        OutOfRange::unless('area_mm2', $areaMm2, 0.001, 1000);
        OutOfRange::unless('length_m', $lengthM, 0, 10_000);
    }

    /**
     * @param  int  $awg  0 to 40; thinner wires have higher numbers
     *
     * @throws OutOfRange
     */
    public static function awg(int $awg, float $lengthM): self
    {
        OutOfRange::unless('awg', $awg, 0, 40);
        $diameterMm = 0.127 * 92 ** ((36 - $awg) / 39);

        return new self(M_PI / 4 * $diameterMm ** 2, $lengthM);
    }

    /** @return float ohms, of both wires together */
    public function loopOhm(): float
    {
        return 2 * $this->lengthM * self::OHM_M / ($this->areaMm2 * 1e-6);
    }

    /**
     * @return float volts lost on the way there and back
     *
     * @throws OutOfRange
     */
    public function dropV(float $currentA): float
    {
        OutOfRange::unless('current_a', $currentA, 0, 1000);

        return $this->loopOhm() * $currentA;
    }
}
