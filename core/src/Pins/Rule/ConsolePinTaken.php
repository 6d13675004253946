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

/** Something hangs on the pins that the board is programmed over. */
#[Finds('console-pin-taken', WorkStep::PinsAndPower)]
final readonly class ConsolePinTaken implements WireRule
{
    public function check(Wire $wire, Look $look): iterable
    {
        // What cannot work there at all has a finding that says more.
        if ($wire->pin?->console !== true || ! $wire->pin->serves($wire->terminal->asks($wire->use))) {
            return [];
        }

        return [Finding::warning(
            "{$wire->module->name} sits on the console of {$wire->node->name}",
            $wire->at(),
            "{$wire->pin->name} carries the console: boot messages reach {$wire->terminal->name}, and with it connected the board may refuse to be programmed.",
            'Keep the console free, or unplug the module to program the board.',
            Rewiring::fixFor($look->plan, $wire->node, $wire->use, $look->catalogue),
            numbers: ['pin' => $wire->pin->name],
        )];
    }
}
