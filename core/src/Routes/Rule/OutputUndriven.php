<?php

declare(strict_types=1);

namespace Rundfunk\Routes\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Spot;

#[Finds('output-undriven', WorkStep::Routes)]
final readonly class OutputUndriven implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        if ($look->plan->routesTo($output) === []) {
            $node = $look->plan->node($output->nodeId);

            return [Finding::warning(
                "Nothing drives {$output->name} of {$node->name}",
                Spot::of($output, "{$node->name}, {$output->name}"),
                'It is wired and never switched.',
                'Route a control to it, or remove it.',
                $this->strands($output, $look->plan) ? null : Fix::remove("Remove {$output->name}", $output),
            )];
        }

        return [];
    }

    /** Its steps and states go with it, and with them all that drives some other output. */
    private function strands(Output $output, Plan $plan): bool
    {
        $own = [...$output->stepIds, ...$output->stateIds];
        foreach ($own as $id) {
            foreach ($plan->having(Route::class, 'controlId', $id) as $route) {
                $left = array_filter($plan->routesTo($plan->output($route->outputId)), static fn (Route $other): bool => ! in_array($other->controlId, $own, true));
                if ($left === []) {
                    return true;
                }
            }
        }

        return false;
    }
}
