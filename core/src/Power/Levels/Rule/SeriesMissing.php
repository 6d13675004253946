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
use Rundfunk\Power\Levels\Wanted;
use Rundfunk\Power\Levels\Wiring;

/** A wire without the resistor that it wants in it: a gate, the data line of a strip. */
#[Finds('series-missing', WorkStep::PinsAndPower)]
final readonly class SeriesMissing extends LevelRule implements WireRule
{
    public function check(Wire $wire, Look $look): iterable
    {
        $ohms = Wiring::in($look)->missingSeriesOhm($wire);
        if ($ohms === null) {
            return [];
        }

        return [Finding::advice(
            "{$wire->module->name} {$wire->terminal->name} of {$wire->node->name} hangs on its pin without a resistor",
            $wire->at(),
            Wanted::whySeries($wire),
            Figures::ohms($ohms).' in the wire, close to the end that drives it.',
            self::mend($look, $wire),
            numbers: ['ohms' => $ohms],
        )];
    }
}
