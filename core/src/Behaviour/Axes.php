<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Catalogue\Board;
use Rundfunk\Plan\Control;
use Rundfunk\Shape\Values;

/** The axis that a control's settings describe. */
final readonly class Axes
{
    /** What most boards' converters read. Common practice. */
    private const BITS = 10;

    /** @return Axis|null null where its middle is at one of its ends, or beyond */
    public static function of(Control $control, ?Board $board): ?Axis
    {
        $settings = new Values($control->settings);
        $lowest = $settings->whole('rawLowest');
        $highest = $settings->wholeOrNull('rawHighest') ?? (1 << ($board->analogueBits ?? self::BITS)) - 1;
        $centre = $settings->wholeOrNull('rawCentre') ?? intdiv($lowest + $highest, 2);
        if ($centre <= min($lowest, $highest) || $centre >= max($lowest, $highest)) {
            return null;
        }

        return new Axis($lowest, $centre, $highest, self::share($settings->whole('deadBand')), self::share($settings->whole('expo')));
    }

    /** Per cent as 1024ths. */
    public static function share(int $percent): int
    {
        return intdiv($percent * Axis::FULL, 100);
    }
}
