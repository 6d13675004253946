<?php

declare(strict_types=1);

namespace Rundfunk\Electrical;

use Rundfunk\Figures;
use Rundfunk\OutOfRange;

/** The resistor before one or more light-emitting diodes in series. Source: Ohm's law; values of IEC 60063. */
final readonly class LedResistor
{
    /** The smallest that is sold. Common practice. */
    private const LEAST_OHM = 0.1;

    /** Ratings in which small resistors are sold, milliwatts. Common practice. */
    private const RATINGS_MW = [125, 250, 500, 1000, 2000, 3000, 5000, 10_000];

    /** @param  float  $dropV  what a transistor in the way takes, volts */
    public function __construct(
        public float $supplyV,
        public float $forwardV,
        public float $currentMa,
        public int $series = 1,
        public float $dropV = 0.0,
    ) {
        OutOfRange::unless('supply_v', $supplyV, 0.5, 60);
        OutOfRange::unless('forward_v', $forwardV, 0.5, 12);
        OutOfRange::unless('current_ma', $currentMa, 0.1, 3000);
        OutOfRange::unless('series_leds', $series, 1, 120);
        // Less than the smallest resistor that is sold is nothing to hold the current with.
        if ($this->exactOhm() < self::LEAST_OHM) {
            $needed = Figures::significant($series * $forwardV + $dropV);
            throw OutOfRange::because('supply_v', "supply_v must be above the {$needed} V that the diodes need, not ".Figures::significant($supplyV).'.');
        }
    }

    public function exactOhm(): float
    {
        return $this->leftV() / $this->currentMa * 1000;
    }

    /** @return float ohms: the next value up, so that the current stays below what was asked */
    public function chosenOhm(): float
    {
        return ESeries::E24->up($this->exactOhm());
    }

    public function actualMa(): float
    {
        return $this->leftV() / $this->chosenOhm() * 1000;
    }

    /** @return float milliwatts while it is lit */
    public function powerMw(): float
    {
        return $this->leftV() * $this->actualMa();
    }

    /** @return int milliwatts: twice what it takes, so that it stays cool */
    public function advisedRatingMw(): int
    {
        foreach (self::RATINGS_MW as $rating) {
            if ($rating >= 2 * $this->powerMw()) {
                return $rating;
            }
        }

        return (int) ceil(2 * $this->powerMw());
    }

    private function leftV(): float
    {
        return $this->supplyV - $this->series * $this->forwardV - $this->dropV;
    }
}
