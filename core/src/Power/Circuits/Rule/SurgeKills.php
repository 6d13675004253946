<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Output;
use Rundfunk\Power\Circuits\AllLoads;
use Rundfunk\Power\Circuits\At;
use Rundfunk\Power\Circuits\Drawn;

/** What a load takes at the moment of switching on is more than a semiconductor survives. */
#[Finds('surge-kills', WorkStep::SafeStates)]
final readonly class SurgeKills implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        $switching = AllLoads::in($look)->classOf($output)?->switches;
        $surgeA = array_sum(array_map(static fn (Drawn $drawn): float => $drawn->inrushA() ?? 0.0, AllLoads::in($look)->on($output)));
        if ($switching?->surgeA === null || $surgeA <= $switching->surgeA) {
            return [];
        }

        return [Finding::fault(
            "Switching on what hangs on {$output->name} destroys its {$switching->by->words()}",
            At::output($look, $output),
            'At worst '.Figures::significant($surgeA).' A flow at the first moment, and it survives '.Figures::significant($switching->surgeA).' A for one period. It fails shorted: on for good.',
            'A relay, one that switches at the zero of the voltage, or a limiter of inrush at the load.',
            numbers: ['surge_a' => round($surgeA, 2), 'most_a' => $switching->surgeA],
        )];
    }
}
