<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Check\ControlRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Spot;
use Rundfunk\Shape\Values;

/** A stick that is looked at more often than its pad says where it is. */
#[Finds('polled-too-slowly', WorkStep::Nodes)]
final readonly class PolledTooSlowly implements ControlRule
{
    public function check(Control $control, Look $look): iterable
    {
        $report = $control->kind === ControlKind::Axis && $control->moduleId !== null ? $look->catalogue->classOf($look->plan->module($control->moduleId))->report : null;
        $every = $report === null ? 0 : (new Values($control->settings))->whole('everyMs');
        if ($report === null || $every >= $report->pollMs) {
            return [];
        }

        return [Finding::advice(
            "{$control->name} is looked at every {$every} ms, and asked for every {$report->pollMs} ms",
            Spot::of($control, "{$look->plan->node($control->nodeId)->name}, {$control->name}", 'everyMs'),
            'Between two reports of the pad nothing new can be seen.',
            'Look at it as often as it is asked, or more seldom.',
            Fix::settings("Every {$report->pollMs} ms", $control, ['everyMs' => $report->pollMs]),
            numbers: ['every_ms' => $every, 'poll_ms' => $report->pollMs],
        )];
    }
}
