<?php

declare(strict_types=1);

namespace Rundfunk\Electrical;

use Rundfunk\OutOfRange;

/**
 * How long a cell lasts a node that sleeps, and wakes for a while in every period. A range, and not a number: what is on the
 * label holds for a new, warm cell. Source: charge over mean current; the lower end at 0.7 of it, common practice.
 */
final readonly class BatteryLife
{
    private const WORN = 0.7;

    private const HOURS_A_MONTH = 365.25 * 24 / 12;

    /**
     * @param  float  $usablePercent  of the capacity, before what hangs on it stops: 50 for lead, 80 to 90 for Li-ion
     * @param  float  $selfDischargePercentMonth  of the capacity
     *
     * @throws OutOfRange
     */
    public function __construct(
        public float $capacityMah,
        public float $usablePercent,
        public float $selfDischargePercentMonth,
        public float $sleepMa,
        public float $activeMa,
        public float $activeMs,
        public float $periodS,
    ) {
        OutOfRange::unless('capacity_mah', $capacityMah, 1, 1e6);
        OutOfRange::unless('usable_percent', $usablePercent, 1, 100);
        OutOfRange::unless('self_discharge_percent_month', $selfDischargePercentMonth, 0, 100);
        OutOfRange::unless('sleep_ma', $sleepMa, 0, 100_000);
        OutOfRange::unless('active_ma', $activeMa, 0, 100_000);
        OutOfRange::unless('period_s', $periodS, 0.001, 366 * 86_400);
        OutOfRange::unless('active_ms', $activeMs, 0, $periodS * 1000);
    }

    /** @return float milliamperes that the node takes, over a period */
    public function averageMa(): float
    {
        $awake = $this->activeMs / 1000 / $this->periodS;

        return $this->sleepMa * (1 - $awake) + $this->activeMa * $awake;
    }

    /** @return float|null days with all that the label says; null where nothing is taken at all */
    public function daysHigh(): ?float
    {
        $leakMa = $this->capacityMah * $this->selfDischargePercentMonth / 100 / self::HOURS_A_MONTH;
        $ma = $this->averageMa() + $leakMa;

        return $ma > 0 ? $this->capacityMah * $this->usablePercent / 100 / $ma / 24 : null;
    }

    /** @return float|null days with a cell that is worn or cold */
    public function daysLow(): ?float
    {
        $high = $this->daysHigh();

        return $high === null ? null : self::WORN * $high;
    }
}
