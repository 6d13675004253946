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
use Rundfunk\Plan\FusePlace;
use Rundfunk\Power\Circuits\AllLoads;
use Rundfunk\Power\Circuits\At;
use Rundfunk\Power\Fuses;

/** A load whose own fuse blows while it runs. */
#[Finds('fuse-below-load', WorkStep::SafeStates)]
final readonly class FuseBelowLoad implements PlanRule
{
    public function check(Look $look): iterable
    {
        $all = AllLoads::in($look);
        foreach ($look->plan->loads() as $load) {
            $amperes = $load->use->draws() && $load->fuseA !== null ? $all->drawn($load)->amperes : null;
            if ($amperes === null || CircuitFuse::ABOVE_LOAD * $amperes <= $load->fuseA + 1e-9) {
                continue;
            }
            $right = CircuitFuse::for($amperes)->ratedA;
            $fits = $right !== null && ($load->mm2 === null || $right <= Fuses::cordA($load->mm2) + 1e-9) && ($load->fuseAt !== FusePlace::Before || $right <= ($all->mostFuseA($all->drawn($load)) ?? INF) + 1e-9);

            yield Finding::warning(
                "The fuse of {$load->name} blows while it runs",
                At::load($look, $load, 'fuseA'),
                Figures::significant($amperes).' A through a fuse of '.Figures::significant($load->fuseA).' A: it wants 1.25 times the load.',
                'The next larger one that cord and contact bear.',
                $fits ? Fix::change('A fuse of '.Figures::significant($right).' A', $load, ['fuseA' => $right]) : null,
                numbers: ['load_a' => round($amperes, 3), 'fuse_a' => $load->fuseA],
            );
        }
    }
}
