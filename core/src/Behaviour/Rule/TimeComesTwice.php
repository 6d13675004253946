<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Check\ControlRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Spot;
use Rundfunk\Shape\Values;

/** A time of day that is skipped in spring, or comes twice in autumn. */
#[Finds('time-comes-twice', WorkStep::Routes)]
final readonly class TimeComesTwice implements ControlRule
{
    public function check(Control $control, Look $look): iterable
    {
        $at = $control->kind === ControlKind::Timer ? (new Values($control->settings))->textOrNull('at') ?? '' : '';
        if (preg_match('/^0?([12]):([0-5]\d)$/D', $at, $match) !== 1) {
            return [];
        }
        $risky = array_filter($look->plan->routesFrom($control), static fn (Route $route): bool => ! $route->action->survivesRepetition() || $route->action === Action::Pulse);
        if ($risky === []) {
            return [];
        }

        return [Finding::advice(
            "{$at} comes twice in the night when summer time ends",
            Spot::of($control, "{$look->plan->node($control->nodeId)->name}, {$control->name}", 'at'),
            "{$control->name} does something that counts each time: once a year it does it twice. (What lies in the hour that is left out in spring still happens, at the end of it.)",
            'Choose a time before one or after three in the morning, or on and off instead.',
            Fix::settings("Make it 04:{$match[2]}", $control, ['at' => "04:{$match[2]}"]),
            numbers: ['at' => $at],
        )];
    }
}
