<?php

declare(strict_types=1);

namespace Rundfunk\Arbitration\Rule;

use Rundfunk\Arbitration\Arbiter;
use Rundfunk\Arbitration\Ask;
use Rundfunk\Arbitration\Range;
use Rundfunk\Arbitration\Standing;
use Rundfunk\Arbitration\Turn;
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

/** Off is to win until a hand switches on, and no hand can. */
#[Finds('off-for-good', WorkStep::Routes)]
final readonly class OffForGood implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        if ($output->precedence === Precedence::OffFirst && $this->staysOff($look->plan, $output)) {
            return [Finding::warning(
                "{$output->name} of {$look->plan->node($output->nodeId)->name}, once off, stays off",
                Spot::of($output, "{$output->name} of {$look->plan->node($output->nodeId)->name}", 'precedence'),
                'Off wins until an explicit on by hand, but its masters that are worked by hand only switch it off or over. A toggle, a timer or a reading does not count.',
                'Route a key, text or widget to it with on, or let the last message count.',
                Fix::change('Let the last message count', $output, ['precedence' => Precedence::LastWriter->value]),
            )];
        }

        return [];
    }

    private function staysOff(Plan $plan, Output $output): bool
    {
        $range = Range::of($output);
        $arbiter = new Arbiter($output->precedence, $range);
        $barred = false;
        foreach ($plan->routesTo($output) as $route) {
            $ask = Ask::of($plan->control($route->controlId), $route);
            $barred = $barred || $arbiter->hear(new Standing($range->on()), $ask, Turn::Worked)->barred;
            if ($arbiter->isOn($arbiter->hear(new Standing($range->off, [], true), $ask, Turn::Worked))) {
                return false;
            }
        }

        return $barred;
    }
}
