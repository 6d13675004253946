<?php

declare(strict_types=1);

namespace Rundfunk\Pins\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Knowledge;
use Rundfunk\Pins\Rewiring;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;

/** The board pin of each terminal. */
final readonly class PinStep implements Step
{
    public function stage(): Stage
    {
        return Stage::Pin;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->nodes() as $node) {
            foreach (Rewiring::of($plan, $node, $knowledge->catalogue) as $change) {
                yield new Proposal(
                    $this->stage(),
                    Spot::of($change->module, "{$node->name}, {$change->module->name}", $change->terminal->name),
                    "Pin of {$node->name} · {$change->module->name} {$change->terminal->name}",
                    $change->before?->pin,
                    $change->after->name,
                    $change->reason(),
                    [$change->operation($plan)],
                );
            }
        }
    }
}
