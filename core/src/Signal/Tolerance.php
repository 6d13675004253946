<?php

declare(strict_types=1);

namespace Rundfunk\Signal;

/** How far a length may be from what it should be and still count. Common practice: a quarter, after the receiver's excess is taken away. */
final readonly class Tolerance
{
    public const SHARE = 0.25;

    /** A little more than the share itself, for lengths that were rounded to whole microseconds. */
    private const ROUNDING_NS = 1_000;

    /** What demodulators add to marks, at most, nanoseconds. Common practice: 50 to 150 µs. */
    public const MOST_EXCESS_NS = 200_000;

    public static function meets(int $actualNs, int $nominalNs): bool
    {
        return abs($actualNs - $nominalNs) <= self::SHARE * $nominalNs + self::ROUNDING_NS;
    }

    /**
     * The excess that marks of one nominal length show on average; nought when it is too odd to be one.
     *
     * @param  list<int>  $marksNs
     */
    public static function excessNs(array $marksNs, int $nominalNs): int
    {
        if ($marksNs === []) {
            return 0;
        }
        $excess = (int) round(array_sum($marksNs) / count($marksNs)) - $nominalNs;

        return abs($excess) <= min(self::MOST_EXCESS_NS, intdiv($nominalNs, 2)) ? $excess : 0;
    }
}
