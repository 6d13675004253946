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

/** A circuit with loads and no fuse before it. */
#[Finds('circuit-unfused', WorkStep::SafeStates)]
final readonly class CircuitUnfused implements PlanRule
{
    public function check(Look $look): iterable
    {
        $all = AllLoads::in($look);
        foreach ($look->plan->circuits() as $circuit) {
            if ($all->fuseA($circuit) !== null || $all->amperes($circuit) <= 0.0) {
                continue;
            }
            $fuse = CircuitFuse::for($all->amperes($circuit))->ratedA;
            $fits = $fuse !== null && ($circuit->mm2 === null || $fuse <= Fuses::cordA($circuit->mm2) + 1e-9);

            yield Finding::danger(
                "Circuit {$circuit->name} has no fuse",
                At::circuit($circuit, 'fuseA'),
                Figures::significant($all->amperes($circuit)).' A are drawn with everything on, and in a short circuit whatever the source gives.',
                'A fuse or breaker in the line at its beginning; the local wiring code and a licensed electrician decide.',
                $fits ? Fix::change('Say that a fuse of '.Figures::significant($fuse).' A is before it', $circuit, ['fuseA' => $fuse]) : null,
                numbers: ['load_a' => round($all->amperes($circuit), 3), 'fuse_a' => $fuse],
            );
        }
    }
}
