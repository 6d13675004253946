<?php

declare(strict_types=1);

namespace Rundfunk\Power\Levels\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\ModuleRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Module;
use Rundfunk\Power\At;
use Rundfunk\Power\Levels\LevelParts;
use Rundfunk\Power\Levels\Wiring;

/** A module whose current comes and goes in jumps, with nothing at its supply to take them. */
#[Finds('buffer-missing', WorkStep::PinsAndPower)]
final readonly class BufferMissing extends LevelRule implements ModuleRule
{
    public function check(Module $module, Look $look): iterable
    {
        $wiring = Wiring::in($look);
        $wants = $wiring->missingBufferUf($module);
        $terminal = $wiring->feedTerminal($module);
        if ($wants === null || $terminal === null) {
            return [];
        }
        $part = LevelParts::buffer($look->plan, $module->id, $terminal, $wants);

        return [Finding::advice(
            "Nothing takes the jumps of what {$module->name} draws",
            At::module($look, $module, 'supplyId'),
            'From one picture to the next its current goes from nothing to amperes. The cable answers with a dip and a peak; the peak is what kills the first light.',
            Figures::significant($wants).' µF across its supply, where the cable ends.',
            new Fix("Put there: {$part->words}", ...$part->operations),
            numbers: ['microfarads' => $wants],
        )];
    }
}
