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
        [$from, $to] = self::ends($curve, $codes);
        // A converter of n bits gives k where the share is between k and k + 1 of 2^n: half way is the best that can be said.
        $read = static fn (int $raw): float => $curve->thermistor->celsius(($raw + 0.5) / $codes);

        return $to - $from < 2 ? null : FittedScale::of($read, $from, $to, $curve->withinC / 2);
    }

    /**
     * What can still be the sensor: half way from where it is made for to what a short and a broken wire read, which would
     * otherwise pass for great heat and for deep cold.
     *
     * @return array{int, int}|null least and most that the converter reads of it; null where the board cannot read it
     */
    public static function sound(ThermistorCurve $curve, Board $board): ?array
    {
        if ($board->analogueBits === null) {
            return null;
        }
        $codes = 1 << $board->analogueBits;
        [$from, $to] = self::ends($curve, $codes);

        return [intdiv($from, 2), intdiv($to + $codes, 2)];
    }

    /** @return array{int, int} what is read where it is warmest, and where it is coldest */
    private static function ends(ThermistorCurve $curve, int $codes): array
    {
        $raw = static fn (float $celsius): int => (int) round($codes * $curve->thermistor->share($celsius));

        return [max(1, $raw($curve->toC)), min($codes - 2, $raw($curve->fromC))];
    }
}
