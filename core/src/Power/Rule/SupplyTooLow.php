<?php

declare(strict_types=1);

namespace Rundfunk\Power\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\ModuleRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Module;
use Rundfunk\Power\At;
use Rundfunk\Power\Refeeding;
use Rundfunk\Power\SupplyTree;

/** Fewer volts than the part needs. */
#[Finds('supply-too-low', WorkStep::PinsAndPower)]
final readonly class SupplyTooLow implements ModuleRule
{
    public function check(Module $module, Look $look): iterable
    {
        $class = $look->catalogue->classOf($module);
        $volts = SupplyTree::in($look)->voltsOf($module);
        if ($volts === null || ! $class->isFed() || ! $volts->isBelow($class->minV)) {
            return [];
        }
        $from = $look->plan->supply((string) $module->supplyId)->name;

        return [Finding::fault(
            "{$module->name} gets {$volts->wordsAgainst($class->minV)} from {$from} and needs ".Figures::significant($class->minV),
            At::module($look, $module, 'supplyId'),
            'It does not start, or starts on the bench and stops with the first load, the first cold night, the battery half empty.',
            'Feed it with '.Figures::significant($class->minV).' to '.Figures::significant($class->maxV).' V.',
            Refeeding::fix($look, $module),
            numbers: ['gets_v' => round($volts->minV, 3), 'needs_v' => $class->minV],
        )];
    }
}
