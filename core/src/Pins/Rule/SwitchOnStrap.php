<?php

declare(strict_types=1);

namespace Rundfunk\Pins\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\Wire;
use Rundfunk\Check\WireRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Pins\Rewiring;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;

/** A switch that stays as it is put, on a pin that decides at power-up whether the board starts. */
#[Finds('switch-on-strap', WorkStep::PinsAndPower)]
final readonly class SwitchOnStrap implements WireRule
{
    public function check(Wire $wire, Look $look): iterable
    {
        if ($wire->pin?->strap === null || ! $wire->terminal->contact) {
            return [];
        }
        foreach ($look->plan->having(Control::class, 'moduleId', $wire->module->id) as $control) {
            if ($control->terminal === $wire->terminal->name && $control->kind === ControlKind::Switch) {
                return [Finding::warning(
                    "{$control->name} of {$wire->node->name} decides at {$wire->pin->name} whether the board starts",
                    $wire->at(),
                    "{$wire->pin->name} must be {$wire->pin->strap->value} at power-up, and a switch stays as it was left. {$wire->pin->note}",
                    'Move it to a pin that is free at power-up, or take a button.',
                    Rewiring::fixFor($look->plan, $wire->node, $wire->use, $look->catalogue),
                )];
            }
        }

        return [];
    }
}
