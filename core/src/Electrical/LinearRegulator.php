<?php

declare(strict_types=1);

namespace Rundfunk\Electrical;

use Rundfunk\OutOfRange;

/** A regulator that turns what is too much into heat. Its own current is left out: a few milliamperes, which matter to a battery alone. Source: Ohm's and Joule's laws. */
final readonly class LinearRegulator
{
    /**
     * @param  float  $dropoutV  that it needs above what it gives: about 2 for older kinds, 1.1 to 1.3 for the common 3.3 V adapter, 0.2 to 0.3 for low-drop ones (data sheets of the classes, from memory)
     *
     * @throws OutOfRange
     */
    public function __construct(public float $vinV, public float $voutV, public float $currentA, public float $dropoutV)
    {
        OutOfRange::unless('vin_v', $vinV, 0.1, 100);
        OutOfRange::unless('vout_v', $voutV, 0.1, 100);
        OutOfRange::unless('current_a', $currentA, 0, 20);
        OutOfRange::unless('dropout_v', $dropoutV, 0, 10);
    }

    /** Whether it has enough to regulate with. */
    public function works(): bool
    {
        // A hair of tolerance: 4.4 V is enough for 3.3 and 1.1.
        return $this->vinV - $this->voutV >= $this->dropoutV - 1e-9;
    }

    /** @return float watts */
    public function heatW(): float
    {
        return max(0.0, $this->vinV - $this->voutV) * $this->currentA;
    }

    /** @return float 0 to 100 */
    public function efficiencyPercent(): float
    {
        return min(1.0, $this->voutV / $this->vinV) * 100;
    }
}
