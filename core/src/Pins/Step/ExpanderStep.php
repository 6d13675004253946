<?php

declare(strict_types=1);

namespace Rundfunk\Pins\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Knowledge;
use Rundfunk\Pins\Expanding;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;

/** More pins, where a board runs short of them for relays and keys: to be bought. */
final readonly class ExpanderStep implements Step
{
    public function stage(): Stage
    {
        return Stage::Expander;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        $channels = new ChannelStep;
        foreach ($plan->nodes() as $node) {
            if ($node->board === null) {
                continue;
            }
            $wanted = ChannelStep::with($plan, $channels->placements($plan, $node, $knowledge->catalogue));
            foreach (Expanding::best($plan, $wanted, $node, $knowledge) as $module) {
                $class = $knowledge->catalogue->classOf($module);
                yield new Proposal(
                    $this->stage(),
                    Spot::of($node, $node->name, 'board'),
                    "More pins for {$node->name}",
                    null,
                    "{$class->name}, called {$module->pinName(0)} to {$module->pinName($class->offered - 1)} (buy)",
                    'The board has too few pins for all that is to be on it; this is the least that makes room.',
                    [Operation::add($module)],
                );
            }
        }
    }
}
