<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Electrical\ResidualCurrent;
use Rundfunk\Figures;
use Rundfunk\Plan\Circuit;
use Rundfunk\Plan\Load;
use Rundfunk\Plan\LoadUse;
use Rundfunk\Power\Circuits\AllLoads;
use Rundfunk\Power\Circuits\At;

/** More leaks through a residual-current device than it lets pass. */
#[Finds('residual-trips', WorkStep::SafeStates)]
final readonly class ResidualTrips implements PlanRule
{
    public function check(Look $look): iterable
    {
        $all = AllLoads::in($look);
        foreach ($look->plan->circuits() as $circuit) {
            $leaks = $circuit->residual ? new ResidualCurrent($all->leakagesMa($circuit)) : null;
            if ($leaks === null || $leaks->holds()) {
                continue;
            }
            $worst = self::worst($all, $circuit);

            yield Finding::fault(
                "The residual-current device of circuit {$circuit->name} trips on a damp morning",
                At::circuit($circuit, 'residual'),
                Figures::significant($leaks->sumMa()).' mA leak with everything plugged in; from half of its 30 mA on it may trip, and everything on it is dark.',
                'Spread what leaks over devices, mend or unplug the worst'.($worst === null ? '.' : ": {$worst->name} with ".Figures::significant($worst->leakageMa * $worst->count).' mA.'),
                $worst === null ? null : Fix::change("Unplug {$worst->name} this season", $worst, ['use' => LoadUse::Unplugged->value]),
                numbers: ['sum_ma' => round($leaks->sumMa(), 3), 'most_ma' => ResidualCurrent::MOST_MA],
            );
        }
    }

    /** Whatever leaks most, where without it the rest is well. */
    private static function worst(AllLoads $all, Circuit $circuit): ?Load
    {
        $worst = null;
        $sumMa = 0.0;
        foreach ($all->below($circuit, false) as $one) {
            foreach ($all->onCircuit($one) as $drawn) {
                $mine = $drawn->load->leakageMa * $drawn->load->count;
                $sumMa += $mine;
                if ($worst === null || $mine > $worst->leakageMa * $worst->count) {
                    $worst = $drawn->load;
                }
            }
        }

        return $worst !== null && $sumMa - $worst->leakageMa * $worst->count <= ResidualCurrent::MOST_MA ? $worst : null;
    }
}
