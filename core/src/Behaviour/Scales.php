<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Plan\Control;
use Rundfunk\Shape\Values;

/** The scale that a reading's settings describe. */
final readonly class Scales
{
    public const SETTINGS = ['rawFrom', 'unitFrom', 'rawTo', 'unitTo', 'between'];

    /** More points than anybody measures. */
    public const MOST = 16;

    /** @return Scale|null null where nothing of it is given, and where what is given makes none */
    public static function of(Control $reading): ?Scale
    {
        $settings = new Values($reading->settings);
        [$rawFrom, $unitFrom, $rawTo, $unitTo] = [$settings->wholeOrNull('rawFrom'), $settings->numberOrNull('unitFrom'), $settings->wholeOrNull('rawTo'), $settings->numberOrNull('unitTo')];
        $more = self::points($settings->text('between'));
        if ($rawFrom === null || $unitFrom === null || $rawTo === null || $unitTo === null || $more === null) {
            return null;
        }
        $raws = [$rawFrom, $rawTo, ...array_map(static fn (ScalePoint $point): int => $point->raw, $more)];

        return count(array_unique($raws)) < count($raws) ? null : new Scale($rawFrom, (int) round(1_000 * $unitFrom), $rawTo, (int) round(1_000 * $unitTo), $more);
    }

    /** @return list<ScalePoint>|null of "600=20, 700=55.5"; null where it does not say points */
    private static function points(string $text): ?array
    {
        $points = [];
        foreach (trim($text) === '' ? [] : explode(',', $text) as $one) {
            if (preg_match('/^\s*(\d{1,5})\s*=\s*([-−]?\d{1,5}(?:\.\d{1,3})?)\s*$/uD', $one, $found) !== 1 || (int) $found[1] > 65_535) {
                return null;
            }
            $points[] = new ScalePoint((int) $found[1], (int) round(1_000 * (float) str_replace('−', '-', $found[2])));
        }

        return count($points) > self::MOST ? null : $points;
    }

    /** Something of a scale is given. */
    public static function isBegun(Control $reading): bool
    {
        return array_filter(self::SETTINGS, static fn (string $name): bool => ! in_array($reading->settings[$name] ?? null, [null, ''], true)) !== [];
    }
}
