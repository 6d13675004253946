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

/** A high that leaves enough across a low-trigger relay input for it never to let go. */
#[Finds('relay-holds', WorkStep::PinsAndPower)]
final readonly class RelayHolds extends LevelRule implements WireRule
{
    public function check(Wire $wire, Look $look): iterable
    {
        $levels = Wiring::in($look)->levels($wire);
        if ($levels === null || ! $levels->holdsOn()) {
            return [];
        }
        $left = Figures::significant((float) $levels->leftAcrossLedV());

        return [Finding::warning(
            "{$wire->module->name} {$wire->terminal->name} may never let go: a high of {$wire->node->name} leaves {$left} V across it",
            $wire->at(),
            'The input is a light between the module\'s supply and the pin. With an indicator in series it goes out below 3 V; without one it stays on from 1.2.',
            'A level shifter or a transistor between, or a module that switches on high.',
            self::mend($look, $wire),
            numbers: ['left_v' => round((float) $levels->leftAcrossLedV(), 3)],
        )];
    }
}
