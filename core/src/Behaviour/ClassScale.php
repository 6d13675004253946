<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Catalogue\Board;
use Rundfunk\Catalogue\ThermistorCurve;

/** What a board's converter reads of a sensor, by the curve of its class: fed from where the converter measures against, so that the supply's own wandering counts for nothing. */
final readonly class ClassScale
{
    /** @return FittedScale|null null where the board cannot read it */
    public static function of(ThermistorCurve $curve, Board $board): ?FittedScale
    {
        if ($board->analogueBits === null) {
            return null;
        }
        $codes = 1 << $board->analogueBits;
        $raw = static fn (float $celsius): int => (int) round($codes * $curve->thermistor->share($celsius));
        // A converter of n bits gives k where the share is between k and k + 1 of 2^n: half way is the best that can be said.
        $read = static fn (int $raw): float => $curve->thermistor->celsius(($raw + 0.5) / $codes);
        $from = max(1, $raw($curve->toC));
        $to = min($codes - 2, $raw($curve->fromC));

        return $to - $from < 2 ? null : FittedScale::of($read, $from, $to, $curve->withinC / 2);
    }
}
