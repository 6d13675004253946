<?php

declare(strict_types=1);

namespace Rundfunk\Pins\Rule;

use Rundfunk\Catalogue\Pull;
use Rundfunk\Catalogue\Terminal;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\Wire;
use Rundfunk\Check\WireRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Pins\Pulling;
use Rundfunk\Pins\Rewiring;
use Rundfunk\Power\Levels\Wiring;

/** A module holds a boot-strap pin at the level that keeps the board from starting. */
#[Finds('strap-pin-pulled', WorkStep::PinsAndPower)]
final readonly class StrapPinPulled implements WireRule
{
    public function check(Wire $wire, Look $look): iterable
    {
        if ($wire->pin?->strap === null) {
            return [];
        }
        $strap = $wire->pin->strap;
        $wiring = Wiring::in($look);
        // As it is, and as it will be once its parts are right: of a wire that lacks one another rule tells.
        $pulls = array_map(static fn (Terminal $terminal): ?Pull => $terminal->pulls, [...($wiring->partsAt($wire) === [] ? [] : [Pulling::now($wiring, $wire)]), Pulling::soon($wiring, $wire)]);
        $against = array_values(array_filter($pulls, static fn (?Pull $pull): bool => $pull !== null && $pull->level() !== $strap))[0] ?? null;
        if ($against === null) {
            return [];
        }
        $holds = $against === $wire->terminal->pulls ? $wire->terminal->name : "what stands in the wire of {$wire->terminal->name}, or has to,";

        return [Finding::fault(
            "{$wire->module->name} pulls boot pin {$wire->pin->name} {$against->level()->value}",
            $wire->at(),
            "{$wire->pin->name} must be {$strap->value} at power-up; {$holds} holds it {$against->level()->value}. {$wire->pin->note} {$wire->node->name} starts on the bench and not with the module plugged in.",
            'Move the terminal to a pin that is free at power-up.',
            Rewiring::fixFor($look->plan, $wire->node, $wire->use, $look->catalogue),
            numbers: ['pin' => $wire->pin->name, 'wanted' => $strap->value, 'pulled' => $against->level()->value],
        )];
    }
}
