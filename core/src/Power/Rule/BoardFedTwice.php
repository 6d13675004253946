<?php

declare(strict_types=1);

namespace Rundfunk\Power\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\NodeRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Spot;
use Rundfunk\Plan\Supply;
use Rundfunk\Power\SupplyTree;

/** Two supplies that feed one board. */
#[Finds('board-fed-twice', WorkStep::PinsAndPower)]
final readonly class BoardFedTwice implements NodeRule
{
    public function check(Node $node, Look $look): iterable
    {
        if (! SupplyTree::in($look)->feedsTwice($node)) {
            return [];
        }
        $feeders = SupplyTree::in($look)->feedersOf($node);
        $names = implode(' and ', array_map(static fn (Supply $supply): string => $supply->name, $feeders));

        return [Finding::warning(
            "{$node->name} is fed by {$names}",
            Spot::of($feeders[1], "{$node->name}, {$feeders[1]->name}", 'feedsAt'),
            'The one with more volts feeds the other one back: a USB port of a computer, or a battery that was not made to be charged.',
            'One at a time, or a diode in each.',
            new Fix("Feed it from {$feeders[0]->name} alone", ...array_map(static fn (Supply $other): Operation => Operation::change(Supply::kind(), $other->id, ['feedsAt' => null]), array_slice($feeders, 1))),
            about: [$node->id],
        )];
    }
}
