<?php

declare(strict_types=1);

namespace Rundfunk\Power;

use Rundfunk\Electrical\CircuitFuse;

/** The fuses there are, and what a cord carries. Source: preferred ratings of IEC 60127; cords: common practice, local code decides. */
final readonly class Fuses
{
    /** So much above what is drawn. Common practice. */
    public const ABOVE_LOAD = CircuitFuse::ABOVE_LOAD;

    /** @return float|null the smallest rating that is not below, amperes; null where there is none for a home */
    public static function atLeast(float $ampere): ?float
    {
        foreach ([0.1, 1.0, 10.0] as $decade) {
            foreach (CircuitFuse::PREFERRED as $rating) {
                $fuseA = round($rating * $decade, 3);
                if ($fuseA >= $ampere - 1e-9 && $fuseA <= 20.0) {
                    return $fuseA;
                }
            }
        }

        return null;
    }

    /**
     * @param  float  $loadA  at its peak
     * @param  float|null  $mm2  of the cable behind the fuse, where there is one
     * @return float|null the smallest fuse that the load does not blow, and that blows before the cable burns; null where none does both
     */
    public static function between(float $loadA, ?float $mm2): ?float
    {
        $fuseA = self::atLeast(self::ABOVE_LOAD * $loadA);

        return $fuseA !== null && ($mm2 === null || $fuseA <= self::cordA($mm2) + 1e-9) ? $fuseA : null;
    }

    /** @return float what one core carries as a cord in air, amperes */
    public static function cordA(float $mm2): float
    {
        return match (true) {
            $mm2 >= 1.5 => 16.0,
            $mm2 >= 1.0 => 10.0,
            $mm2 >= 0.75 => 6.0,
            $mm2 >= 0.5 => 3.0,
            // Thin hook-up wire: four amperes to the square millimetre.
            default => 4.0 * $mm2,
        };
    }
}
