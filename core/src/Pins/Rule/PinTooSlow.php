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

/** Something that is timed, or selected by, on a pin that is behind a bus itself. */
#[Finds('pin-too-slow', WorkStep::PinsAndPower)]
final readonly class PinTooSlow implements WireRule
{
    public function check(Wire $wire, Look $look): iterable
    {
        if ($wire->pin?->offeredBy === null || $wire->terminal->isSlow() || ! $wire->pin->serves($wire->terminal->needs)) {
            return [];
        }
        $expander = $look->plan->module($wire->pin->offeredBy)->name;

        return [Finding::fault(
            "{$wire->pin->name} of {$expander} is too slow for {$wire->module->name} {$wire->terminal->name}",
            $wire->at(),
            'A pin of an expander changes some hundred microseconds after the program says so, and no library that drives this part knows how to ask for it.',
            'Put it on a pin of the board itself.',
            Rewiring::fixFor($look->plan, $wire->node, $wire->use, $look->catalogue),
            numbers: ['pin' => $wire->pin->name],
        )];
    }
}
