<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

/** The carriers that receivers are sold for. Common practice. */
final readonly class IrTuning
{
    private const KHZ = [30, 33, 36, 38, 40, 56];

    public static function nearestKhz(int $carrierHz): int
    {
        $best = self::KHZ[0];
        foreach (self::KHZ as $khz) {
            if (abs($khz * 1000 - $carrierHz) < abs($best * 1000 - $carrierHz)) {
                $best = $khz;
            }
        }

        return $best;
    }
}
