<?php

declare(strict_types=1);

namespace Rundfunk\Cables\Rule;

use Rundfunk\Cables\CableRuns;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Spot;
use Rundfunk\Power\Cores;
use Rundfunk\Power\Fuses;

/** A core that gets hot of what flows in it for hours: that of a supply, or the ground by which all comes back. */
#[Finds('cable-core-burns', WorkStep::PinsAndPower)]
final readonly class CoreBurns implements PlanRule
{
    public function check(Look $look): iterable
    {
        foreach (CableRuns::in($look)->runs as $run) {
            $heldMa = $run->hottestMa();
            $mm2 = $run->cable->mm2;
            if ($mm2 === null || Cores::carries($mm2, $heldMa)) {
                continue;
            }
            $enough = Cores::enough(0.0, $mm2, INF, $heldMa);
            yield Finding::fault(
                "A core of {$run->cable->name} gets hot",
                Spot::of($run->cable, $run->cable->name, 'mm2'),
                'While all that can be on is on, '.Figures::significant($heldMa / 1000).' A flow through '.Figures::significant($mm2).' mm², which bear '.Figures::significant(Fuses::cordA($mm2)).' A. Its insulation goes soft, and then the cores touch.',
                'Thicker cores, as many grounds as supplies, or a supply at the far end.',
                $enough === null ? null : Fix::change('Take '.Figures::significant($enough).' mm²', $run->cable, ['mm2' => $enough]),
                numbers: ['held_ma' => round($heldMa, 3), 'core_a' => Fuses::cordA($mm2)],
            );
        }
    }
}
