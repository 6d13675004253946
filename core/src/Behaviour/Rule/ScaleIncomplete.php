<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Behaviour\Scales;
use Rundfunk\Check\ControlRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Spot;

/** Points of a reading that make no line. */
#[Finds('scale-incomplete', WorkStep::Nodes)]
final readonly class ScaleIncomplete implements ControlRule
{
    public function check(Control $control, Look $look): iterable
    {
        if ($control->kind !== ControlKind::Reading || ! Scales::isBegun($control) || Scales::of($control) !== null) {
            return [];
        }

        return [Finding::fault(
            "{$control->name} is calibrated by half",
            Spot::of($control, "{$look->plan->node($control->nodeId)->name}, {$control->name}", 'rawFrom'),
            'From what the converter reads to the unit leads a line through two points or more, each at another reading, and here are none such: it is taken as if the program gave the unit.',
            'Say what it reads in two places that are far apart, and how much that is: a probe dry and wet, a tank empty and full. Others are written as 600=20, 700=55.5.',
            Fix::settings('Leave the unit to the program', $control, [...array_fill_keys(Scales::SETTINGS, null), 'between' => '']),
        )];
    }
}
