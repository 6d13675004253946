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
                // Its steps and states go with it, and with them what drives some other output; and what hangs on it hangs on nothing: no one click for that.
                $output->stepIds === [] && $output->stateIds === [] && $look->plan->loadsOn($output) === [] ? Fix::remove("Remove {$output->name}", $output) : null,
            )];
        }

        return [];
    }
}
