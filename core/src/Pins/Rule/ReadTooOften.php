<?php

declare(strict_types=1);

namespace Rundfunk\Pins\Rule;

use Rundfunk\Check\ControlRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Spot;
use Rundfunk\Shape\Values;

/** A sensor that is read oftener than it measures. */
#[Finds('read-too-often', WorkStep::Nodes)]
final readonly class ReadTooOften implements ControlRule
{
    public function check(Control $control, Look $look): iterable
    {
        if ($control->kind !== ControlKind::Reading || $control->moduleId === null) {
            return [];
        }
        $class = $look->catalogue->classOf($look->plan->module($control->moduleId));
        $leastS = (new Values($class->figures))->numberOrNull('leastIntervalS');
        $everyS = (new Values($control->settings))->whole('intervalS');
        if ($leastS === null || $everyS >= $leastS) {
            return [];
        }
        $least = (int) ceil($leastS);

        return [Finding::warning(
            "{$control->name} is read every {$everyS} s, and its sensor measures every ".Figures::significant($leastS),
            Spot::of($control, "{$look->plan->node($control->nodeId)->name}, {$control->name}", 'intervalS'),
            'It gives the old value again, or none, and some kinds warm themselves by being asked.',
            "Read it every {$least} s or more seldom.",
            Fix::settings("Read it every {$least} s", $control, ['intervalS' => $least]),
            numbers: ['every_s' => $everyS, 'least_s' => $leastS],
        )];
    }
}
