<?php

declare(strict_types=1);

namespace Rundfunk\Check\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Edit\Operation;
use Rundfunk\Knowledge;
use Rundfunk\Masters\Arbiter;
use Rundfunk\Masters\Standing;
use Rundfunk\Masters\Turn;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Precedence;
use Rundfunk\Plan\ThingKind;

/** Off is to win until a hand switches on, and no hand can. */
final readonly class OffForGood implements LooksNearby
{
    public function key(): string
    {
        return 'off-for-good';
    }

    public function reads(): array
    {
        return [ThingKind::Node, ThingKind::Control, ThingKind::Output, ThingKind::Route];
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->outputs() as $output) {
            if ($output->precedence === Precedence::OffFirst && $this->staysOff($plan, $output)) {
                yield new Finding(
                    $this->key(),
                    Severity::Warning,
                    "{$output->name} of {$plan->node($output->nodeId)->name}, once off, stays off",
                    Subject::of($output, "{$output->name} of {$plan->node($output->nodeId)->name}", 'precedence'),
                    [],
                    'Off wins until an explicit on by hand, but its masters that are worked by hand only switch it off or over. A toggle, a timer or a reading does not count.',
                    'Route a key, text or widget to it with on, or let the last message count.',
                    new Fix('Let the last message count', Operation::change(ThingKind::Output, $output->id, ['precedence' => Precedence::LastWriter->value])),
                );
            }
        }
    }

    private function staysOff(Plan $plan, Output $output): bool
    {
        $arbiter = new Arbiter($output->precedence);
        $barred = false;
        foreach ($plan->routesTo($output) as $route) {
            $control = $plan->control($route->controlId);
            $barred = $barred || $arbiter->hear(new Standing(true), $control, $route, Turn::Worked)->barred;
            if ($arbiter->hear(new Standing(false, [], true), $control, $route, Turn::Worked)->on) {
                return false;
            }
        }

        return $barred;
    }
}
