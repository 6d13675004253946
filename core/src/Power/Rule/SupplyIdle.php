<?php

declare(strict_types=1);

namespace Rundfunk\Power\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\SupplyRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Supply;
use Rundfunk\Power\At;
use Rundfunk\Power\SupplyTree;

/** A supply that feeds nothing. */
#[Finds('supply-idle', WorkStep::PinsAndPower)]
final readonly class SupplyIdle implements SupplyRule
{
    public function check(Supply $supply, Look $look): iterable
    {
        $tree = SupplyTree::in($look);
        if ($supply->feedsAt !== null || $tree->classOf($supply)->isBoardPin() || $tree->takes($supply) !== []) {
            return [];
        }

        return [Finding::advice(
            "{$supply->name} of {$look->plan->node($supply->nodeId)->name} feeds nothing",
            At::supply($look, $supply),
            'It stands on the list of what to buy, and nobody needs it.',
            'Hang something on it, or take it off.',
            Fix::remove("Remove {$supply->name}", $supply),
        )];
    }
}
