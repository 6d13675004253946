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
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

final readonly class OutputUndriven implements LooksNearby
{
    public function key(): string
    {
        return 'output-undriven';
    }

    public function reads(): array
    {
        return [ThingKind::Node, ThingKind::Output, ThingKind::Route];
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->outputs() as $output) {
            if ($plan->routesTo($output) === []) {
                $node = $plan->node($output->nodeId);
                yield new Finding(
                    $this->key(),
                    Severity::Warning,
                    "Nothing drives {$output->name} of {$node->name}",
                    Subject::of($output, "{$node->name}, {$output->name}"),
                    [],
                    'It is wired and never switched.',
                    'Route a control to it, or remove it.',
                    new Fix("Remove {$output->name}", Operation::remove(ThingKind::Output, $output->id)),
                );
            }
        }
    }
}
