<?php

declare(strict_types=1);

namespace Rundfunk\Electrical;

use Rundfunk\OutOfRange;

/** The values in which resistors are sold. Source: IEC 60063, series E24. */
final readonly class PreferredValues
{
    public const LEAST_OHM = 0.1;

    private const E24 = [10, 11, 12, 13, 15, 16, 18, 20, 22, 24, 27, 30, 33, 36, 39, 43, 47, 51, 56, 62, 68, 75, 82, 91];

    /** @return float ohms, the smallest value of E24 that is not below */
    public static function atLeast(float $ohm): float
    {
        OutOfRange::unless('ohm', $ohm, self::LEAST_OHM, 100_000_000);
        $decade = 10 ** ((int) floor(log10($ohm)) - 1);
        foreach ([$decade, 10 * $decade] as $unit) {
            foreach (self::E24 as $value) {
                // A hair of tolerance: 39 must not become 43 because 3.9 · 10 is not quite 39.
                if ($value * $unit >= $ohm * (1 - 1e-9)) {
                    return round($value * $unit, 6);
                }
            }
        }

        return 100.0 * $decade;
    }
}
