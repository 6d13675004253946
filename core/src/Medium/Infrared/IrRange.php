<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

use Rundfunk\OutOfRange;

/** How far an emitter is heard on its axis, in the clear. Source: inverse square. */
final readonly class IrRange
{
    /**
     * @param  float  $intensityMwSr  radiant intensity, mW/sr
     * @param  float  $thresholdMwM2  the least irradiance a receiver hears, mW/m²
     * @return float metres
     */
    public static function distanceM(float $intensityMwSr, float $thresholdMwM2): float
    {
        OutOfRange::unless('intensity_mw_sr', $intensityMwSr, 0.01, 100_000);
        OutOfRange::unless('threshold_mw_m2', $thresholdMwM2, 0.001, 1_000);

        return sqrt($intensityMwSr / $thresholdMwM2);
    }
}
