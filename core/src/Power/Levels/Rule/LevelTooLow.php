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

/** The high of one end is less than the other takes for one. */
#[Finds('level-too-low', WorkStep::PinsAndPower)]
final readonly class LevelTooLow extends LevelRule implements WireRule
{
    /** Less than a tenth short it mostly works on the bench. Common practice. */
    private const ON_PAPER = 0.1;

    public function check(Wire $wire, Look $look): iterable
    {
        $levels = Wiring::in($look)->levels($wire);
        if ($levels === null || ! $levels->isTooLow() || $levels->isTooHigh()) {
            return [];
        }
        $arrivesV = (float) $levels->leastArrivesV();
        $takesV = (float) $levels->takesV;
        $arrives = Figures::significant($arrivesV);
        [$from, $to] = $levels->driven ? [$wire->node->name, "{$wire->module->name} {$wire->terminal->name}"] : ["{$wire->module->name} {$wire->terminal->name}", $wire->node->name];
        $title = "A high of {$arrives} V from {$from} is below the ".Figures::significant($takesV)." V that {$to} takes for one";
        $numbers = ['arrives_v' => round($arrivesV, 3), 'takes_v' => round($takesV, 3)];

        return [$takesV - $arrivesV <= self::ON_PAPER * $takesV
            ? Finding::advice($title, $wire->at(), 'It mostly works on the bench, and fails in the cold or on another board.', 'A level shifter, or a board of the same voltage.', self::mend($look, $wire), $numbers)
            : Finding::fault($title, $wire->at(), 'It is read as low, or as now this and now that.', 'Other resistors, a level shifter, or a board of the same voltage.', self::mend($look, $wire), $numbers),
        ];
    }
}
