<?php

declare(strict_types=1);

namespace Rundfunk\Power\Levels\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\Wire;
use Rundfunk\Check\WireRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Power\Levels\Wiring;

/** The low of one end is more than the other takes for one (V_OL ≤ V_IL, as in any logic family's data sheet). */
#[Finds('low-too-high', WorkStep::PinsAndPower)]
final readonly class LowTooHigh extends LevelRule implements WireRule
{
    public function check(Wire $wire, Look $look): iterable
    {
        $levels = Wiring::in($look)->levels($wire);
        if ($levels === null || ! $levels->isLowTooHigh()) {
            return [];
        }
        $arrives = Figures::significant((float) $levels->lowArrivesV());
        [$from, $to] = $levels->driven ? [$wire->node->name, "{$wire->module->name} {$wire->terminal->name}"] : ["{$wire->module->name} {$wire->terminal->name}", $wire->node->name];

        return [Finding::fault(
            "A low of {$arrives} V from {$from} is above the ".Figures::significant((float) $levels->takesLowV)." V up to which {$to} takes one",
            $wire->at(),
            'It is read as high, or as now this and now that: what should be off stays on.',
            'A level shifter between, or parts of one voltage.',
            self::mend($look, $wire),
            numbers: ['arrives_v' => round((float) $levels->lowArrivesV(), 3), 'takes_v' => round((float) $levels->takesLowV, 3)],
        )];
    }
}
