<?php

declare(strict_types=1);

namespace Rundfunk\Power\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\SupplyRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Supply;
use Rundfunk\Power\At;
use Rundfunk\Power\SupplyTree;

/** A pin that the node's board does not have. */
#[Finds('rail-missing', WorkStep::PinsAndPower)]
final readonly class RailMissing implements SupplyRule
{
    public function check(Supply $supply, Look $look): iterable
    {
        $tree = SupplyTree::in($look);
        if (! $tree->classOf($supply)->isBoardPin() || $tree->rail($supply) !== null || $tree->takes($supply) === []) {
            return [];
        }
        $node = $look->plan->node($supply->nodeId);

        return [Finding::fault(
            "{$node->name} has no board with {$supply->name}",
            At::supply($look, $supply, 'class'),
            $node->board === null ? 'The node has no board yet, and its modules hang on a pin of it.' : 'The pin went with another board.',
            'Choose a board that has it, or feed the modules from elsewhere.',
        )];
    }
}
