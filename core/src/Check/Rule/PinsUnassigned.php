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
use Rundfunk\Pins\Demands;
use Rundfunk\Pins\Rewire;
use Rundfunk\Pins\Rewiring;
use Rundfunk\Plan\Plan;

/** Terminals still without a pin, for which there is room. */
final readonly class PinsUnassigned implements LooksNearby
{
    public function key(): string
    {
        return 'pins-unassigned';
    }

    public function reads(): array
    {
        return WiredPins::kinds();
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->nodes() as $node) {
            if (Demands::of($plan, $node, $knowledge->catalogue)->met()) {
                continue;
            }
            $new = array_values(array_filter(
                Rewiring::of($plan, $node, $knowledge->catalogue),
                static fn (Rewire $change): bool => $change->before === null,
            ));
            if ($new === []) {
                continue;
            }
            $count = count($new);
            yield new Finding(
                $this->key(),
                Severity::Warning,
                $count === 1 ? "One terminal of {$node->name} has no pin yet" : "{$count} terminals of {$node->name} have no pin yet",
                Subject::of($node, $node->name, 'pins'),
                ['count' => $count],
                'Not wired yet: '.implode(', ', array_map(static fn (Rewire $change): string => "{$change->module->name} {$change->terminal->name}", $new)).'.',
                'Assign proposes a pin for each.',
                new Fix($count === 1 ? "Put {$new[0]->words()}" : "Wire all {$count}", ...array_map(
                    static fn (Rewire $change): Operation => $change->operation($plan),
                    Rewiring::of($plan, $node, $knowledge->catalogue),
                )),
            );
        }
    }
}
