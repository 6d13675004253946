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
    /** Names that a finding gives of the round. */
    private const NAMED = 4;

    public function check(Supply $supply, Look $look): iterable
    {
        $tree = SupplyTree::in($look);
        if (! $tree->isCircular($supply)) {
            return [];
        }
        $names = [];
        $one = $tree->parent($supply);
        while ($one !== null && $one->id !== $supply->id && count($names) < self::NAMED) {
            $names[] = $one->name;
            $one = $tree->parent($one);
        }
        $round = implode(', ', $names).($one === null || $one->id === $supply->id ? '' : ' and others');

        return [Finding::fault(
            $round === '' ? "{$supply->name} lives on itself" : "{$supply->name} lives on {$round}, and so on itself",
            At::supply($look, $supply, 'parentId'),
            'Nothing in that circle gives anything.',
            'One of them must live on a source.',
            Refeeding::parent($look, $supply),
        )];
    }
}
