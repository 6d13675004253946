<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Closure;

/**
 * A curve as lines from point to point: each line as far as it stays within a limit, so there are as few as can be from that
 * end. Boards that cannot reckon with logarithms read a curve so.
 */
final readonly class FittedScale
{
    /** @param  float  $worst  of the unit: how far the scale is off anywhere between its ends, its own rounding included */
    private function __construct(public Scale $scale, public float $worst)
    {
    }

    /**
     * @param  Closure(int): float  $curve  the unit by what the converter reads, bent one way or one way and then the other
     * @param  int  $from  least that is read
     * @param  int  $to  most, more than that
     * @param  float  $within  of the unit
     * @return self|null null where more points would be needed than a scale has
     */
    public static function of(Closure $curve, int $from, int $to, float $within): ?self
    {
        $units = [];
        for ($raw = $from; $raw <= $to; $raw++) {
            $units[$raw] = $curve($raw);
        }
        $points = [$from];
        for ($at = $from; $at < $to; $at = $points[count($points) - 1]) {
            $points[] = self::farthest($units, $at, $to, $within);
            if (count($points) > Scales::MOST + 2) {
                return null;
            }
        }
        $scale = self::through($units, $points);
        $worst = 0.0;
        foreach ($units as $raw => $unit) {
            $worst = max($worst, abs($scale->milli($raw) / 1_000 - $unit));
        }

        return new self($scale, $worst);
    }

    /** @return array{rawFrom: int, unitFrom: float, rawTo: int, unitTo: float, between: string} as a reading is set by it */
    public function settings(): array
    {
        return [
            'rawFrom' => $this->scale->rawFrom,
            'unitFrom' => $this->scale->unitFrom / 1_000,
            'rawTo' => $this->scale->rawTo,
            'unitTo' => $this->scale->unitTo / 1_000,
            'between' => implode(', ', array_map(static fn (ScalePoint $point): string => "{$point->raw}=".$point->unit / 1_000, $this->scale->more)),
        ];
    }

    /**
     * The end of the longest line from a place that stays within: twice as far until it does not, then between.
     *
     * @param  array<int, float>  $units
     */
    private static function farthest(array $units, int $at, int $to, float $within): int
    {
        $good = $at + 1;
        $bad = null;
        for ($step = 2; $bad === null && $good < $to; $step *= 2) {
            $try = min($to, $at + $step);
            if (self::holds($units, $at, $try, $within)) {
                $good = $try;
            } else {
                $bad = $try;
            }
        }
        while ($bad !== null && $bad - $good > 1) {
            $middle = intdiv($good + $bad, 2);
            if (self::holds($units, $at, $middle, $within)) {
                $good = $middle;
            } else {
                $bad = $middle;
            }
        }

        return $good;
    }

    /** @param  array<int, float>  $units */
    private static function holds(array $units, int $from, int $to, float $within): bool
    {
        $slope = ($units[$to] - $units[$from]) / ($to - $from);
        for ($raw = $from + 1; $raw < $to; $raw++) {
            if (abs($units[$from] + $slope * ($raw - $from) - $units[$raw]) > $within) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param  array<int, float>  $units
     * @param  non-empty-list<int>  $points
     */
    private static function through(array $units, array $points): Scale
    {
        $milli = static fn (int $raw): int => (int) round(1_000 * $units[$raw]);
        $first = $points[0];
        $last = $points[count($points) - 1];

        return new Scale($first, $milli($first), $last, $milli($last), array_map(static fn (int $raw): ScalePoint => new ScalePoint($raw, $milli($raw)), array_slice($points, 1, -1)));
    }
}
