<?php

declare(strict_types=1);

namespace Rundfunk\Power;

/** The cores that wire is sold with. Source: nominal cross-sections of IEC 60228 and those of thin hook-up wire. */
final readonly class Cores
{
    private const MM2 = [0.14, 0.25, 0.5, 0.75, 1.0, 1.5, 2.5, 4.0];

    /**
     * The thinnest that loses no more than it may and carries what flows for hours.
     *
     * @param  float  $dropV  what is lost in a core of so many mm²
     * @param  float  $mostV  what may be
     * @return float|null mm²; null where none is thick enough
     */
    public static function enough(float $dropV, float $mm2, float $mostV, float $heldMa): ?float
    {
        foreach (self::MM2 as $core) {
            if ($dropV * $mm2 / $core <= $mostV && self::carries($core, $heldMa)) {
                return $core;
            }
        }

        return null;
    }

    public static function carries(float $mm2, float $heldMa): bool
    {
        return $heldMa / 1000 <= Fuses::cordA($mm2) + 1e-9;
    }
}
