<?php

declare(strict_types=1);

namespace Rundfunk\Signal;

/** How alike two signals are that no protocol explains. */
final readonly class TimingDistance
{
    /** Below this they are taken for one key. Common practice: a fifth. */
    public const SAME = 0.2;

    /** Two lengths further apart than this are two bits, however much all others agree. */
    private const APART = 2 * Tolerance::SHARE;

    /** @return float the mean relative difference of their lengths; where two lengths are of quite another size, how far those are apart; 1 when they have not as many */
    public static function between(Signal $one, Signal $other): float
    {
        $count = count($one->lengthsNs);
        if ($count !== count($other->lengthsNs)) {
            return 1.0;
        }
        $sum = 0.0;
        foreach ($one->lengthsNs as $at => $ns) {
            $off = abs($ns - $other->lengthsNs[$at]) / max(1, $ns, $other->lengthsNs[$at]);
            if ($off > self::APART) {
                return $off;
            }
            $sum += $off;
        }

        return $sum / $count;
    }

    public static function same(Signal $one, Signal $other): bool
    {
        return self::between($one, $other) < self::SAME;
    }

    /** No two alike can have lengths on both sides of these. */
    public static function isGap(int $shorterNs, int $longerNs): bool
    {
        return ($longerNs - $shorterNs) / max(1, $longerNs) > self::APART;
    }
}
