<?php

declare(strict_types=1);

namespace Rundfunk\Electrical;

use Rundfunk\OutOfRange;

/** How far a serial port's rate is off what it says, on 8-bit boards that divide their clock by a whole number. Source: data sheet of the class, from memory. */
final readonly class UartDivider
{
    /** @return float share, signed: the better of normal and double speed */
    public static function error(float $clockMhz, int $baud): float
    {
        OutOfRange::unless('clock_mhz', $clockMhz, 0.1, 10_000);
        OutOfRange::unless('baud', $baud, 50, 4_000_000);
        $normal = self::at($clockMhz, $baud, 16);
        $double = self::at($clockMhz, $baud, 8);

        return abs($double) < abs($normal) ? $double : $normal;
    }

    /** @param  int  $samples  16 at normal speed, 8 at double */
    public static function at(float $clockMhz, float $baud, int $samples): float
    {
        return $clockMhz * 1e6 / ($samples * self::divisor($clockMhz, $baud, $samples)) / $baud - 1;
    }

    /** @param  int  $samples  16 at normal speed, 8 at double */
    public static function divisor(float $clockMhz, float $baud, int $samples): int
    {
        return max(1, (int) round($clockMhz * 1e6 / ($samples * $baud)));
    }
}
