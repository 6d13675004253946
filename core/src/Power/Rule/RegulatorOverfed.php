<?php

declare(strict_types=1);

namespace Rundfunk\Power\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\SupplyRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Supply;
use Rundfunk\Power\At;
use Rundfunk\Power\Verdicts;

/** A regulator that gets more than it stands. */
#[Finds('regulator-overfed', WorkStep::PinsAndPower)]
final readonly class RegulatorOverfed implements SupplyRule
{
    public function check(Supply $supply, Look $look): iterable
    {
        $verdicts = Verdicts::in($look);
        $tree = $verdicts->tree;
        $parent = $tree->parent($supply);
        $takes = $tree->classOf($supply)->takes;
        if (! $verdicts->isOverfed($supply) || $parent === null || $takes === null) {
            return [];
        }

        return [Finding::fault(
            "{$supply->name} gets {$tree->volts($parent)?->wordsAgainst(0.0, $takes->maxV)} from {$parent->name} and stands ".Figures::significant($takes->maxV),
            At::supply($look, $supply, 'parentId'),
            'It breaks down, and what it was fed goes on to whatever it feeds.',
            'Feed it from less, or take one that stands it.',
            numbers: ['gets_v' => round($tree->volts($parent)->maxV ?? 0.0, 3), 'stands_v' => $takes->maxV],
        )];
    }
}
