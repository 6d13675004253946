<?php

declare(strict_types=1);

namespace Rundfunk\Pins\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\Wire;
use Rundfunk\Check\WireRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Pins\Pulling;
use Rundfunk\Pins\Rewiring;

/** A module holds a boot-strap pin at the level that keeps the board from starting. */
#[Finds('strap-pin-pulled', WorkStep::PinsAndPower)]
final readonly class StrapPinPulled implements WireRule
{
    public function check(Wire $wire, Look $look): iterable
    {
        $pulls = Pulling::terminal($look->plan, $wire->module, $wire->terminal)->pulls;
        if ($wire->pin?->strap === null || $pulls === null || $pulls->level() === $wire->pin->strap) {
            return [];
        }

        return [Finding::fault(
            "{$wire->module->name} pulls boot pin {$wire->pin->name} {$pulls->level()->value}",
            $wire->at(),
            "{$wire->pin->name} must be {$wire->pin->strap->value} at power-up; {$wire->terminal->name} holds it {$pulls->level()->value}. {$wire->pin->note} {$wire->node->name} starts on the bench and not with the module plugged in.",
            'Move the terminal to a pin that is free at power-up.',
            Rewiring::fixFor($look->plan, $wire->node, $wire->use, $look->catalogue),
            numbers: ['pin' => $wire->pin->name, 'wanted' => $wire->pin->strap->value, 'pulled' => $pulls->level()->value],
        )];
    }
}
