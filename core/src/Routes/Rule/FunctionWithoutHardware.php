<?php

declare(strict_types=1);

namespace Rundfunk\Routes\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Spot;

/** A function on a board of ours, with nothing that would do it. */
#[Finds('function-without-hardware', WorkStep::Nodes)]
final readonly class FunctionWithoutHardware implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        $node = $look->plan->node($output->nodeId);
        if ($output->kind !== OutputKind::Function || $node->kind->isBought()) {
            return [];
        }

        return [Finding::warning(
            "{$output->name} of {$node->name} is a function of nothing",
            Spot::of($output, "{$node->name}, {$output->name}", 'kind'),
            'A function belongs to something that was bought and does it by itself. A board of ours switches relays and lamps.',
            'Make it a relay or a lamp on one of its modules, or give it to the thing that does it.',
        )];
    }
}
