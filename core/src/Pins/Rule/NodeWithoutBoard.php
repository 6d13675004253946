<?php

declare(strict_types=1);

namespace Rundfunk\Pins\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\NodeRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Spot;

#[Finds('node-without-board', WorkStep::Nodes)]
final readonly class NodeWithoutBoard implements NodeRule
{
    public function check(Node $node, Look $look): iterable
    {
        if ($node->board === null && ! $node->kind->isBought()) {
            return [Finding::warning(
                "{$node->name} has no board yet",
                Spot::of($node, $node->name, 'board'),
                'Without a board there are no pins to wire, and nothing can be said of levels or supply.',
                'Choose the class of board it is built on.',
            )];
        }

        return [];
    }
}
