<?php

declare(strict_types=1);

namespace Rundfunk\Arbitration\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Precedence;
use Rundfunk\Plan\Spot;

/** A switch that holds is to win, and no master of the output holds it. */
#[Finds('precedence-idle', WorkStep::Routes)]
final readonly class PrecedenceIdle implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        if ($output->precedence !== Precedence::HolderFirst || self::isHeld($look->plan, $output)) {
            return [];
        }

        return [Finding::advice(
            "Nothing holds {$output->name}",
            Spot::of($output, "{$output->name} of {$look->plan->node($output->nodeId)->name}", 'precedence'),
            'A switch that holds it is to win over its other masters, but none of them follows or holds.',
            'Route a switch to it with follow or momentary, or let the last message count.',
            Fix::change('Let the last message count', $output, ['precedence' => Precedence::LastWriter->value]),
        )];
    }

    private static function isHeld(Plan $plan, Output $output): bool
    {
        foreach ($plan->routesTo($output) as $route) {
            if ($route->action->holds()) {
                return true;
            }
        }

        return false;
    }
}
