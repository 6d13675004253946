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

/** A module that takes current, and nothing gives it any. */
#[Finds('supply-missing', WorkStep::PinsAndPower)]
final readonly class SupplyMissing implements ModuleRule
{
    public function check(Module $module, Look $look): iterable
    {
        $class = $look->catalogue->classOf($module);
        $peakMa = SupplyTree::in($look)->loadOf($module)->peakMa;
        if ($module->supplyId !== null || ! $class->isFed() || $peakMa === 0.0) {
            return [];
        }

        return [Finding::warning(
            "Nothing feeds {$module->name} of {$look->plan->node($module->nodeId)->name}",
            At::module($look, $module, 'supplyId'),
            'It wants '.Figures::significant($class->minV).' to '.Figures::significant($class->maxV).' V and takes '.Figures::significant($peakMa).' mA at most; the plan does not say from where.',
            'Say what feeds it, or let Assign choose.',
            Refeeding::fix($look, $module),
            numbers: ['peak_ma' => $peakMa],
        )];
    }
}
