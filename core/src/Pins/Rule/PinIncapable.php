<?php

declare(strict_types=1);

namespace Rundfunk\Pins\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\Wire;
use Rundfunk\Check\WireRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Pins\PinWords;
use Rundfunk\Pins\Rewiring;

/** The pin has no such function, or the board has no such pin. */
#[Finds('pin-incapable', WorkStep::PinsAndPower)]
final readonly class PinIncapable implements WireRule
{
    public function check(Wire $wire, Look $look): iterable
    {
        $asks = $wire->terminal->asks($wire->use);
        if ($wire->pin !== null && $wire->pin->serves($asks)) {
            return [];
        }
        $needs = PinWords::of($asks);

        return [Finding::fault(
            $wire->pin === null ? "{$wire->node->name} has no pin {$wire->use->pin}" : "{$wire->use->pin} of {$wire->node->name} is no {$needs}",
            $wire->at(),
            "{$wire->module->name} {$wire->terminal->name} needs a {$needs}. ".($wire->pin === null ? "The {$wire->board->name} has no pin of that name." : trim("{$wire->use->pin} can do: ".implode(', ', $wire->pin->can).". {$wire->pin->note}")),
            'Move it to a pin that can.',
            Rewiring::fixFor($look->plan, $wire->node, $wire->use, $look->catalogue),
            numbers: ['pin' => $wire->use->pin, 'needs' => $wire->terminal->needs, 'can' => $wire->pin === null ? '' : implode(' ', $wire->pin->can)],
        )];
    }
}
