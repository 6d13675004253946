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
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Precedence;
use Rundfunk\Plan\ThingKind;

/** A switch that holds is to win, and no master of the output holds it. */
final readonly class PrecedenceIdle implements LooksNearby
{
    public function key(): string
    {
        return 'precedence-idle';
    }

    public function reads(): array
    {
        return [ThingKind::Node, ThingKind::Output, ThingKind::Route];
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->outputs() as $output) {
            if ($output->precedence !== Precedence::HolderFirst || self::isHeld($plan, $output)) {
                continue;
            }
            yield new Finding(
                $this->key(),
                Severity::Advice,
                "Nothing holds {$output->name}",
                Subject::of($output, "{$output->name} of {$plan->node($output->nodeId)->name}", 'precedence'),
                [],
                'A switch that holds it is to win over its other masters, but none of them follows or holds.',
                'Route a switch to it with follow or momentary, or let the last message count.',
                new Fix('Let the last message count', Operation::change(ThingKind::Output, $output->id, ['precedence' => Precedence::LastWriter->value])),
            );
        }
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
