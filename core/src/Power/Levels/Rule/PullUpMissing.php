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

/** A wire that nothing holds high. */
#[Finds('pull-up-missing', WorkStep::PinsAndPower)]
final readonly class PullUpMissing extends LevelRule implements WireRule
{
    public function check(Wire $wire, Look $look): iterable
    {
        $ohms = Wiring::in($look)->missingPullUpOhm($wire);
        if ($ohms === null) {
            return [];
        }

        return [Finding::warning(
            "Nothing holds {$wire->module->name} {$wire->terminal->name} of {$wire->node->name} high",
            $wire->at(),
            $wire->terminal->contact
                ? "{$wire->use->pin} has no pull-up of its own: an open contact reads now this and now that, and a hand near the wire presses the key."
                : 'It is pulled low and let go, never driven high: without a resistor there are no readings, or wrong ones.',
            Figures::ohms($ohms).' to the supply of '.($wire->terminal->contact ? 'the board.' : "{$wire->module->name}."),
            self::mend($look, $wire),
            numbers: ['ohms' => $ohms],
        )];
    }
}
