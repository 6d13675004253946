<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Power\Circuits\AllLoads;
use Rundfunk\Power\Circuits\At;
use Rundfunk\Power\Circuits\ContactsBehind;

/** A quick fuse, and loads that start with a surge. */
#[Finds('fuse-too-quick', WorkStep::SafeStates)]
final readonly class FuseTooQuick implements PlanRule
{
    public function check(Look $look): iterable
    {
        $all = AllLoads::in($look);
        foreach ($look->plan->circuits() as $circuit) {
            if ($circuit->fuseA === null || $circuit->timeLag) {
                continue;
            }
            // Whatever one output switches starts together.
            $byOutput = [];
            foreach ($all->below($circuit) as $one) {
                foreach ($all->onCircuit($one) as $drawn) {
                    $key = $drawn->load->outputId ?? $drawn->load->id;
                    $byOutput[$key] = ($byOutput[$key] ?? 0.0) + ($drawn->load->sort->wantsTimeLag() ? $drawn->inrushA() ?? 0.0 : 0.0);
                }
            }
            $surgeA = $byOutput === [] ? 0.0 : max($byOutput);
            if ($surgeA <= self::TRIPS_FROM * $circuit->fuseA) {
                continue;
            }

            yield Finding::warning(
                "The fuse of circuit {$circuit->name} blows when something on it is switched on",
                At::circuit($circuit, 'timeLag'),
                'Up to '.Figures::significant($surgeA).' A flow at the first moment; a quick fuse, or a breaker of characteristic B, may trip from three times its '.Figures::significant($circuit->fuseA).' A on.',
                'A time-lag fuse, or a breaker of characteristic C.',
                ContactsBehind::bear($look, $circuit, $circuit->fuseA, true) ? Fix::change('A time-lag one', $circuit, ['timeLag' => true]) : null,
                numbers: ['surge_a' => round($surgeA, 2), 'fuse_a' => $circuit->fuseA],
            );
        }
    }

    /** A breaker of characteristic B trips at once between three and five times its rating. Source: IEC 60898. */
    private const TRIPS_FROM = 3.0;
}
