<?php

declare(strict_types=1);

namespace Rundfunk\Propagation;

use Rundfunk\OutOfRange;

/** The length of a quarter-wave wire. Source: c / 4f, with the usual shortening of 0.95 for a wire of some thickness. */
final readonly class QuarterWave
{
    private const LIGHT_M_S = 299_792_458;

    private const SHORTENING = 0.95;

    /** @return float millimetres */
    public static function lengthMm(float $freqMhz): float
    {
        OutOfRange::unless('freq_mhz', $freqMhz, 1, 100_000);

        return self::SHORTENING * self::LIGHT_M_S / ($freqMhz * 1e6) / 4 * 1000;
    }
}
