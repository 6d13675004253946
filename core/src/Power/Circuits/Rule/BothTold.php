<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits\Rule;

use Rundfunk\Behaviour\NeverTogether;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Output;
use Rundfunk\Power\Circuits\At;

/** One control puts on two that must never be on together. */
#[Finds('both-told', WorkStep::SafeStates)]
final readonly class BothTold implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        foreach (NeverTogether::with($look->plan, $output) as $other) {
            if (strcmp($output->id, $other->id) > 0) {
                continue;
            }
            foreach ($look->plan->routesTo($output) as $route) {
                foreach ($look->plan->routesTo($other) as $second) {
                    if ($route->controlId === $second->controlId && $route->action !== Action::Off && $second->action !== Action::Off) {
                        yield Finding::warning(
                            "{$look->plan->control($route->controlId)->name} asks {$output->name} and {$other->name} at once, which must never be on together",
                            At::output($look, $output),
                            'Whichever comes first is worked and the other refused: which that is hangs on chance.',
                            'Two controls, or two directions of one.',
                            about: [$output->id, $other->id, $route->controlId],
                        );
                    }
                }
            }
        }
    }
}
