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

/** A load whose cord bears less than it takes, or than the fuse before it lets through. */
#[Finds('cord-burns', WorkStep::SafeStates)]
final readonly class CordBurns implements PlanRule
{
    public function check(Look $look): iterable
    {
        $all = AllLoads::in($look);
        foreach ($look->plan->loads() as $load) {
            $mostA = $load->mm2 === null || ! $load->use->draws() ? null : Fuses::cordA($load->mm2);
            if ($mostA === null) {
                continue;
            }
            $drawn = $all->drawn($load);
            $fuseA = $all->fuseBeforeA($drawn);
            if (($drawn->amperes ?? 0.0) <= $mostA + 1e-9 && ($fuseA === null || $fuseA <= $mostA + 1e-9)) {
                continue;
            }
            $right = CircuitFuse::for($drawn->amperes ?? 0.0);
            $fix = $drawn->amperes !== null && $right->saves($mostA) ? Fix::change('A fuse of '.Figures::significant((float) $right->ratedA).' A before it', $load, ['fuseA' => $right->ratedA, 'fuseAt' => FusePlace::Before->value]) : null;

            yield Finding::danger(
                "The cord of {$load->name} burns before a fuse blows",
                At::load($look, $load, 'mm2'),
                Figures::significant($load->mm2).' mm² bear '.Figures::significant($mostA).' A; '.Figures::significant($drawn->amperes ?? 0.0).' A are drawn'.($fuseA === null ? '.' : ', and the fuse holds '.Figures::significant($fuseA).'.'),
                'A thicker cord, or a smaller fuse before it; local code decides.',
                $fix,
                numbers: ['cord_a' => $mostA, 'load_a' => round($drawn->amperes ?? 0.0, 3), 'fuse_a' => $fuseA],
            );
        }
    }
}
