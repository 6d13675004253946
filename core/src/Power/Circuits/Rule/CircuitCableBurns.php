<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Electrical\CircuitFuse;
use Rundfunk\Figures;
use Rundfunk\Power\Circuits\AllLoads;
use Rundfunk\Power\Circuits\At;
use Rundfunk\Power\Fuses;

/** A fuse that holds longer than the wiring behind it. */
#[Finds('circuit-cable-burns', WorkStep::SafeStates)]
final readonly class CircuitCableBurns implements PlanRule
{
    public function check(Look $look): iterable
    {
        $all = AllLoads::in($look);
        foreach ($look->plan->circuits() as $circuit) {
            $fuseA = $all->fuseA($circuit);
            $mostA = $circuit->mm2 === null ? null : Fuses::cordA($circuit->mm2);
            if ($fuseA === null || $mostA === null || $fuseA <= $mostA + 1e-9) {
                continue;
            }
            $right = CircuitFuse::for($all->amperes($circuit));

            yield Finding::danger(
                "The wiring of circuit {$circuit->name} burns before its fuse blows",
                At::circuit($circuit, 'mm2'),
                Figures::significant($circuit->mm2).' mm² bear '.Figures::significant($mostA).' A as a cord, and the fuse holds '.Figures::significant($fuseA).'.',
                'A smaller fuse, or thicker copper; the local wiring code decides.',
                $right->saves($mostA) ? Fix::change('A fuse of '.Figures::significant((float) $right->ratedA).' A', $circuit, ['fuseA' => $right->ratedA]) : null,
                numbers: ['fuse_a' => $fuseA, 'cable_a' => $mostA],
            );
        }
    }
}
