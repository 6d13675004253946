<?php

declare(strict_types=1);

namespace Rundfunk\Signal;

/** How alike two signals are that no protocol explains. */
final readonly class TimingDistance
{
    /** Below this they are taken for one key. Common practice: a fifth. */
    public const SAME = 0.2;

    /** @return float the mean relative difference of their lengths; 1 when they have not as many */
    public static function between(Signal $one, Signal $other): float
    {
        $count = count($one->lengthsNs);
        if ($count !== count($other->lengthsNs)) {
            return 1.0;
        }
        $worst = 0.0;
        $sum = 0.0;
        foreach ($one->lengthsNs as $at => $ns) {
            $off = abs($ns - $other->lengthsNs[$at]) / max(1, $ns, $other->lengthsNs[$at]);
            $sum += $off;
            $worst = max($worst, $off);
        }

        // One length of quite another size is another bit, however many others agree.
        return $worst > 2 * Tolerance::SHARE ? $worst : $sum / $count;
    }

    public static function same(Signal $one, Signal $other): bool
    {
        return self::between($one, $other) < self::SAME;
    }
}
