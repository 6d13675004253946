<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Behaviour\Axes;
use Rundfunk\Check\ControlRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Spot;

/** An axis whose middle is at one of its ends, or beyond. */
#[Finds('axis-middle-at-end', WorkStep::Nodes)]
final readonly class MiddleAtEnd implements ControlRule
{
    public function check(Control $control, Look $look): iterable
    {
        if ($control->kind !== ControlKind::Axis) {
            return [];
        }
        if (Axes::of($look->plan, $control, $look->catalogue) !== null) {
            return [];
        }
        [$lowest, $middle, $most] = Axes::range($look->plan, $control, $look->catalogue);

        return [Finding::fault(
            "{$control->name} has its middle at one of its ends",
            Spot::of($control, "{$look->plan->node($control->nodeId)->name}, {$control->name}", 'rawCentre'),
            "It reads {$lowest} at one end, {$most} at the other and {$middle} when let go: on one side there is no way to go.",
            'Read it at both ends and let go, and write those three down.',
            Fix::settings('Take all it can read', $control, ['rawLowest' => 0, 'rawCentre' => null, 'rawHighest' => null]),
            numbers: ['lowest' => $lowest, 'centre' => $middle, 'highest' => $most],
        )];
    }
}
