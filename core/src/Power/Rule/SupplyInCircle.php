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

/** Supplies that live on each other. */
#[Finds('supply-in-circle', WorkStep::PinsAndPower)]
final readonly class SupplyInCircle implements SupplyRule
{
    public function check(Supply $supply, Look $look): iterable
    {
        $tree = SupplyTree::in($look);
        if (! $tree->isCircular($supply)) {
            return [];
        }
        $round = implode(', ', array_map(static fn (Supply $above): string => $above->name, $tree->above($supply)));

        return [Finding::fault(
            $round === '' ? "{$supply->name} lives on itself" : "{$supply->name} lives on {$round}, and so on itself",
            At::supply($look, $supply, 'parentId'),
            'Nothing in that circle gives anything.',
            'One of them must live on a source.',
            Refeeding::parent($look, $supply),
        )];
    }
}
