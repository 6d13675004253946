<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\HopRule;
use Rundfunk\Check\Leg;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Spot;

/** Something that can hurt, worked by slots. */
#[Finds('dmx-hazard', WorkStep::Routes)]
final readonly class Hazardous implements HopRule
{
    public function check(Leg $leg, Look $look): iterable
    {
        // Also what is only handed on from here.
        $hazards = $leg->output->proofHazards();
        if ($hazards === []) {
            return [];
        }

        return [Finding::danger(
            "{$leg->output->name} can hurt, and {$leg->link->name} works it",
            Spot::of($leg->output, "{$look->plan->node($leg->output->nodeId)->name}, {$leg->output->name}", 'hazards'),
            "Of it: {$hazards[0]->words()}. Slots bear no check: one bit that is harmed is another value, and the standard (ANSI E1.11) says that it is for nothing dangerous: no lifts, no motors, no flame.",
            'Work it over a line that is checked and acknowledged, or by hand with somebody looking. '.$hazards[0]->caution(),
            about: [$leg->hop->id],
        )];
    }
}
