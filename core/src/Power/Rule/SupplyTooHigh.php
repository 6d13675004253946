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

/** More volts than the part stands. */
#[Finds('supply-too-high', WorkStep::PinsAndPower)]
final readonly class SupplyTooHigh implements ModuleRule
{
    public function check(Module $module, Look $look): iterable
    {
        $class = $look->catalogue->classOf($module);
        $volts = SupplyTree::in($look)->voltsOf($module);
        if ($volts === null || ! $class->isFed() || ! $volts->isAbove($class->maxV)) {
            return [];
        }
        $from = $look->plan->supply((string) $module->supplyId)->name;

        return [Finding::fault(
            "{$module->name} gets {$volts->wordsAgainst(0.0, $class->maxV)} from {$from} and stands ".Figures::significant($class->maxV),
            At::module($look, $module, 'supplyId'),
            'It may work for a minute. Then the part is warm, or silent for good, and often takes what it is joined to along.',
            'Feed it with '.Figures::significant($class->minV).' to '.Figures::significant($class->maxV).' V.',
            Refeeding::fix($look, $module),
            numbers: ['gets_v' => round($volts->maxV, 3), 'stands_v' => $class->maxV],
        )];
    }
}
