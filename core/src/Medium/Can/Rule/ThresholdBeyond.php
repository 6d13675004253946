<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Rule;

use Rundfunk\Check\ControlRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Can\Ends;
use Rundfunk\Medium\Can\Signals;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Spot;
use Rundfunk\Shape\Values;

/** A threshold that a signal never reaches. */
#[Finds('can-threshold-beyond', WorkStep::Routes)]
final readonly class ThresholdBeyond implements ControlRule
{
    public function check(Control $control, Look $look): iterable
    {
        $node = $look->plan->node($control->nodeId);
        $found = $node->kind->isBought() && $control->kind === ControlKind::Reading ? Signals::of($look->plan, Ends::of($look->plan, $node), $control->terminal) : null;
        $threshold = $control->kind === ControlKind::Reading ? (new Values($control->settings))->numberOrNull('threshold') : null;
        if ($found === null || $threshold === null) {
            return [];
        }
        [$least, $most] = $found[1]->range();
        if ($found[1]->passes($threshold)) {
            return [];
        }
        $between = $found[1]->of->bits === 1 || $found[1]->of->equals !== null ? ($least + $most) / 2 : null;

        return [Finding::fault(
            "{$found[1]->name} goes from ".Figures::significant($least).' to '.Figures::significant($most).": {$control->name} never passes ".Figures::significant($threshold),
            Spot::of($control, "{$node->name}, {$control->name}", 'threshold'),
            'Its bits hold no more, with its scale and its offset.',
            'Put the threshold between, or look again at how long the signal is and what one of it is worth.',
            $between === null ? null : Fix::change('Set '.Figures::significant($between), $control, ['settings' => ['threshold' => $between]]),
            numbers: ['least' => $least, 'most' => $most, 'threshold' => $threshold],
            about: [$control->id],
        )];
    }
}
