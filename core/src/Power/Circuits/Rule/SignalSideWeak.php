<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\ModuleRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Spot;
use Rundfunk\Power\Circuits\SignalSide;
use Rundfunk\Power\SupplyTree;

/** A relay board whose signal side gets too little for its diodes. */
#[Finds('signal-side-weak', WorkStep::PinsAndPower)]
final readonly class SignalSideWeak implements ModuleRule
{
    public function check(Module $module, Look $look): iterable
    {
        $levels = $look->catalogue->classOf($module)->levels;
        $board = $look->board($look->plan->node($module->nodeId));
        $volts = $module->signalSupplyId === null ? null : SupplyTree::in($look)->signalVoltsOf($module)?->nominalV;
        $milliamperes = $board === null || $volts === null ? null : SignalSide::milliamperes($volts, $board, $levels);
        if ($levels === null || $milliamperes === null || $milliamperes >= SignalSide::LEAST_MA) {
            return [];
        }

        return [Finding::fault(
            "The relays of {$module->name} do not pull in",
            Spot::of($module, "{$look->plan->node($module->nodeId)->name}, {$module->name}", 'signalSupplyId'),
            'Its signal side gets '.Figures::significant($volts).' V, its diode and its indicator keep '.Figures::significant((float) $levels->ledDropV).': '.Figures::significant(max(0.0, $milliamperes)).' mA are left, and a coupler wants about '.Figures::significant(SignalSide::LEAST_MA).'.',
            'Feed its signal side with 5 V and let a transistor pull its inputs low; or a bank for 3.3 V signals.',
            numbers: ['signal_v' => $volts, 'led_ma' => round($milliamperes, 2)],
        )];
    }
}
