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
use Rundfunk\Power\Refeeding;
use Rundfunk\Power\SupplyTree;

/** A regulator or a line that lives on nothing. */
#[Finds('supply-unfed', WorkStep::PinsAndPower)]
final readonly class SupplyUnfed implements SupplyRule
{
    public function check(Supply $supply, Look $look): iterable
    {
        $tree = SupplyTree::in($look);
        if (! $tree->classOf($supply)->sort->isFed() || $tree->parent($supply) !== null) {
            return [];
        }

        return [Finding::warning(
            "Nothing feeds {$supply->name} of {$look->plan->node($supply->nodeId)->name}",
            At::supply($look, $supply, 'parentId'),
            "It is a {$tree->classOf($supply)->name}: what it gives it must get.",
            'Say which supply it lives on.',
            Refeeding::parent($look, $supply),
        )];
    }
}
