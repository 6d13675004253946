<?php

declare(strict_types=1);

namespace Rundfunk\Electrical;

use Rundfunk\OutOfRange;

/**
 * The two resistors that hold an RS-485 pair apart while nobody drives it: one from A to the supply, one from B to ground, in series with all
 * that stands between the two wires. Source: TIA/EIA-485-A (200 mV threshold, 12 kΩ for a unit load); arithmetic.
 */
final readonly class Rs485Bias
{
    private const THRESHOLD_V = 0.2;

    private const UNIT_LOAD_OHM = 12_000.0;

    private const TERMINATOR_OHM = 120.0;

    /** @throws OutOfRange */
    public function __construct(private float $supplyV, private float $unitLoads, private int $terminators)
    {
        OutOfRange::unless('supply_v', $supplyV, 1, 12);
        OutOfRange::unless('unit_loads', $unitLoads, 0, 256);
        OutOfRange::unless('terminators', $terminators, 0, 4);
        OutOfRange::unless('unit_loads and terminators together', $unitLoads + $terminators, 0.001, 260);
    }

    /** @return float the most that each of the two may have */
    public function maximumOhm(): float
    {
        $lineOhm = 1 / ($this->terminators / self::TERMINATOR_OHM + $this->unitLoads / self::UNIT_LOAD_OHM);

        return $lineOhm / 2 * ($this->supplyV / self::THRESHOLD_V - 1);
    }

    /** @return float of E24, so that the pair is held at least so far apart */
    public function chosenOhm(): float
    {
        return ESeries::E24->down($this->maximumOhm());
    }
}
