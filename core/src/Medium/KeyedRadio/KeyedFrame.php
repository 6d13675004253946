<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio;

use Rundfunk\OutOfRange;
use Rundfunk\Signal\Bits;
use Rundfunk\Signal\BitTiming;
use Rundfunk\Signal\Signal;
use Rundfunk\Signal\Tolerance;

/**
 * A fixed code on the air: each bit is four pulse lengths, short-long for nought and long-short for one, and a sync of one
 * short mark and 31 lengths of silence. Common practice.
 */
final readonly class KeyedFrame
{
    public const BITS = 24;

    private const BIT_LENGTHS = 4;

    private const SYNC_LENGTHS = 32;

    /** @return int nanoseconds of one frame with its sync */
    public static function frameNs(int $bits, int $pulseUs): int
    {
        OutOfRange::unless('bits', $bits, 1, 64);
        OutOfRange::unless('pulse_us', $pulseUs, 50, 2_000);

        return ($bits * self::BIT_LENGTHS + self::SYNC_LENGTHS) * $pulseUs * 1000;
    }

    /** @return int nanoseconds of a press */
    public static function pressNs(int $bits, int $pulseUs, int $repeats): int
    {
        OutOfRange::unless('repeats', $repeats, 1, 100);

        return $repeats * self::frameNs($bits, $pulseUs);
    }

    /** The marks and spaces of a code, the sync's mark at the end. */
    public static function encode(int $code, int $pulseUs): Signal
    {
        OutOfRange::unless('code', $code, 0, (1 << self::BITS) - 1);

        return self::timing($pulseUs)->signal(Bits::high($code, self::BITS), 0);
    }

    /** @return array{code: int, pulseUs: int}|null */
    public static function decode(Signal $signal): ?array
    {
        if (count($signal->lengthsNs) !== 2 * self::BITS + 1) {
            return null;
        }
        // What a receiver adds to marks it takes from spaces: a bit, of whatever value, is four pulse lengths all the same.
        $lengths = array_slice($signal->lengthsNs, 0, 2 * self::BITS);
        $pulseUs = (int) round(array_sum($lengths) / 1000 / (self::BITS * self::BIT_LENGTHS));
        $bits = self::timing(max(1, $pulseUs))->bits($signal->withoutExcess(self::excessNs($signal, $pulseUs * 1000)), self::BITS);

        return $bits === null ? null : ['code' => Bits::fromHigh($bits), 'pulseUs' => $pulseUs];
    }

    /** By how much its marks are too long on average, nanoseconds; nought where that is more than half a pulse, and so no excess. */
    private static function excessNs(Signal $signal, int $unitNs): int
    {
        $sum = 0;
        foreach ($signal->marksNs() as $at => $markNs) {
            $spaceNs = $signal->spacesNs()[$at] ?? null;
            $sum += $markNs - ($spaceNs !== null && $markNs > $spaceNs ? 3 : 1) * $unitNs;
        }
        $excess = (int) round($sum / count($signal->marksNs()));

        return abs($excess) <= min(Tolerance::MOST_EXCESS_NS, intdiv($unitNs, 2)) ? $excess : 0;
    }

    private static function timing(int $pulseUs): BitTiming
    {
        $unit = $pulseUs * 1000;

        return new BitTiming(0, 0, $unit, 3 * $unit, 3 * $unit, $unit, $unit);
    }
}
