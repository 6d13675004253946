<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Check\ControlRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Spot;
use Rundfunk\Shape\Values;

/** A timer that has neither a time nor an interval, or a time that is none. */
#[Finds('timer-idle', WorkStep::Routes)]
final readonly class TimerIdle implements ControlRule
{
    public function check(Control $control, Look $look): iterable
    {
        if ($control->kind !== ControlKind::Timer) {
            return [];
        }
        $settings = new Values($control->settings);
        $at = $settings->textOrNull('at') ?? '';
        $isTime = preg_match('/^([01]?\d|2[0-3]):[0-5]\d$/D', $at) === 1;
        if ($isTime || ($at === '' && $settings->wholeOrNull('everyMin') !== null)) {
            return [];
        }

        return [Finding::fault(
            $at === '' ? "{$control->name} never strikes" : "\"{$at}\" is no time of day",
            Spot::of($control, "{$look->plan->node($control->nodeId)->name}, {$control->name}", 'at'),
            $at === '' ? 'It has neither a time of day nor an interval, so nothing that hangs on it ever happens.' : 'A time of day is two figures for the hour and two for the minute: 06:30, or 22:15.',
            'Give it a time, as 06:30, or let it strike every so many minutes.',
            numbers: ['at' => $at],
        )];
    }
}
