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
use Rundfunk\Power\Circuits\ContactsBehind;
use Rundfunk\Power\Fuses;

/** More on a circuit than its fuse bears. */
#[Finds('circuit-overloaded', WorkStep::SafeStates)]
final readonly class CircuitOverloaded implements PlanRule
{
    public function check(Look $look): iterable
    {
        $all = AllLoads::in($look);
        foreach ($look->plan->circuits() as $circuit) {
            $amperes = $all->amperes($circuit);
            if ($circuit->fuseA === null || CircuitFuse::ABOVE_LOAD * $amperes <= $circuit->fuseA + 1e-9) {
                continue;
            }
            $fuse = CircuitFuse::for($amperes)->ratedA;
            $fits = $fuse !== null && ($circuit->mm2 === null ? false : $fuse <= Fuses::cordA($circuit->mm2) + 1e-9) && ContactsBehind::bear($look, $circuit, $fuse, $circuit->timeLag);

            yield Finding::fault(
                "The fuse of circuit {$circuit->name} blows when all is on",
                At::circuit($circuit, 'fuseA'),
                Figures::significant($amperes).' A with everything on, and a fuse of '.Figures::significant($circuit->fuseA).' A wants at most four fifths of that for long.',
                'Fewer things on it, or on another circuit: Assign spreads those that are not kept.',
                $fits ? Fix::change('A fuse of '.Figures::significant($fuse).' A', $circuit, ['fuseA' => $fuse]) : null,
                numbers: ['load_a' => round($amperes, 3), 'fuse_a' => $circuit->fuseA],
            );
        }
    }
}
