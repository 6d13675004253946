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

/** A regulator that gets too little to hold its output. */
#[Finds('regulator-drops-out', WorkStep::PinsAndPower)]
final readonly class RegulatorDropsOut implements SupplyRule
{
    public function check(Supply $supply, Look $look): iterable
    {
        $verdicts = Verdicts::in($look);
        $tree = $verdicts->tree;
        $lackingV = $verdicts->lackingV($supply);
        $parent = $tree->parent($supply);
        if ($lackingV === null || $parent === null || $tree->isCircular($supply)) {
            return [];
        }
        $gets = $tree->volts($parent);
        $needsV = ($gets->minV ?? 0.0) + $lackingV;

        return [Finding::fault(
            "{$supply->name} gets {$gets?->wordsAgainst($needsV)} from {$parent->name} and needs ".Figures::significant($needsV).' V',
            At::supply($look, $supply, 'parentId'),
            'Below that its output follows its input down: what hangs on it starts again whenever the battery is low or the load is high.',
            'Feed it from more, or take one that needs less above its output.',
            numbers: ['gets_v' => round($gets->minV ?? 0.0, 3), 'needs_v' => round($needsV, 3)],
        )];
    }
}
