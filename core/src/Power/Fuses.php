<?php

declare(strict_types=1);

namespace Rundfunk\Power;

use Rundfunk\Electrical\CircuitFuse;
use Rundfunk\Plan\Supply;

/** The fuses there are, and what a cord carries. Source: preferred ratings of IEC 60127; cords: common practice, local code decides. */
final readonly class Fuses
{
    /** A slow fuse holds so many times its rating for the moment of a start. IEC 60127-2, time-lag: 4 times for 150 ms and more; from memory. */
    private const START_HELD = 4.0;

    /** It may hold at so many times what may be drawn from a battery. Common practice. */
    private const ABOVE_LIMIT = 2.0;

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

    /** @return float amperes that a fuse must hold less {@see ABOVE_LOAD}: all at its peak, and what starts slowly while it starts */
    private static function drawnA(SupplyTree $tree, Supply $supply): float
    {
        return max($tree->load($supply)->peakMa, (Start::worst($tree, $supply)->milliamperes ?? 0.0) / (self::START_HELD * self::ABOVE_LOAD)) / 1000;
    }

    /** @return float amperes that the fuse behind a supply must have at the least */
    public static function leastA(SupplyTree $tree, Supply $supply): float
    {
        return self::ABOVE_LOAD * self::drawnA($tree, $supply);
    }

    /** @return float|null the one that goes behind a supply; null where none holds and saves both it and its cable */
    public static function behind(SupplyTree $tree, Supply $supply): ?float
    {
        $fuseA = self::between(self::drawnA($tree, $supply), $supply->cableMm2);

        return $fuseA !== null && $fuseA <= self::mostA($tree, $supply) + 1e-9 ? $fuseA : null;
    }

    /** @return float amperes; a larger one behind a battery lets a fault go on that takes less: INF where something else limits it, or the cable is known that it saves */
    public static function mostA(SupplyTree $tree, Supply $supply): float
    {
        return $tree->classOf($supply)->fused && $supply->cableMm2 === null ? self::ABOVE_LIMIT * ($tree->limitMa($supply) ?? INF) / 1000 : INF;
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
