<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Catalogue\ReportForm;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\Plan;
use Rundfunk\Shape\Values;

/** The axis that a control's settings describe. */
final readonly class Axes
{
    /** What most boards' converters read. Common practice. */
    private const BITS = 10;

    /** @return Axis|null null where its middle is at one of its ends, or beyond */
    public static function of(Plan $plan, Control $control, Catalogue $catalogue): ?Axis
    {
        $settings = new Values($control->settings);
        [$lowest, $centre, $highest] = self::range($plan, $control, $catalogue);
        if ($centre <= min($lowest, $highest) || $centre >= max($lowest, $highest)) {
            return null;
        }

        return new Axis($lowest, $centre, $highest, self::share($settings->whole('deadBand')), self::share($settings->whole('expo')));
    }

    /** @return array{int, int, int} what it reads at one end, let go, and at the other: as its settings say, or all that its board or its pad can read */
    public static function range(Plan $plan, Control $control, Catalogue $catalogue): array
    {
        $settings = new Values($control->settings);
        $lowest = $settings->whole('rawLowest');
        $reported = $control->moduleId !== null && isset($catalogue->classOf($plan->module($control->moduleId))->report?->axes[$control->terminal ?? '']);
        $most = $reported ? ReportForm::MOST : (1 << ($catalogue->boardOf($plan->node($control->nodeId))->analogueBits ?? self::BITS)) - 1;
        $highest = $settings->wholeOrNull('rawHighest') ?? $most;
        $middle = $reported && $settings->wholeOrNull('rawHighest') === null && $lowest === 0 ? ReportForm::MIDDLE : intdiv($lowest + $highest, 2);

        return [$lowest, $settings->wholeOrNull('rawCentre') ?? $middle, $highest];
    }

    /** Per cent as 1024ths. */
    public static function share(int $percent): int
    {
        return intdiv($percent * Axis::FULL, 100);
    }
}
