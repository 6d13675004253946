<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Plan\Control;
use Rundfunk\Shape\Values;

/** The scale that a reading's settings describe. */
final readonly class Scales
{
    public const SETTINGS = ['rawFrom', 'unitFrom', 'rawTo', 'unitTo'];

    /** @return Scale|null null where nothing of it is given, and where what is given makes none */
    public static function of(Control $reading): ?Scale
    {
        $settings = new Values($reading->settings);
        [$rawFrom, $unitFrom, $rawTo, $unitTo] = [$settings->wholeOrNull('rawFrom'), $settings->numberOrNull('unitFrom'), $settings->wholeOrNull('rawTo'), $settings->numberOrNull('unitTo')];
        if ($rawFrom === null || $unitFrom === null || $rawTo === null || $unitTo === null || $rawFrom === $rawTo) {
            return null;
        }

        return new Scale($rawFrom, (int) round(1_000 * $unitFrom), $rawTo, (int) round(1_000 * $unitTo));
    }

    /** Something of a scale is given. */
    public static function isBegun(Control $reading): bool
    {
        return array_filter(self::SETTINGS, static fn (string $name): bool => ($reading->settings[$name] ?? null) !== null) !== [];
    }
}
