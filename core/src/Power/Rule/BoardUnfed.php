<?php

declare(strict_types=1);

namespace Rundfunk\Power\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\NodeRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Spot;
use Rundfunk\Power\Refeeding;
use Rundfunk\Power\SupplyTree;

/** A board that nothing feeds: nobody can tell whether what feeds it bears the rest. */
#[Finds('board-unfed', WorkStep::PinsAndPower)]
final readonly class BoardUnfed implements NodeRule
{
    public function check(Node $node, Look $look): iterable
    {
        if ($look->board($node) === null || SupplyTree::in($look)->feeder($node) !== null) {
            return [];
        }

        return [Finding::advice(
            "The plan does not say what feeds {$node->name}",
            Spot::of($node, $node->name, 'supply'),
            'Its board and all that hangs on its pins live on something: a plug, a port, a battery.',
            'Say what it is; then its load is summed, and a battery\'s life worked out.',
            Refeeding::board($look, $node),
        )];
    }
}
