<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Infrared\IrEmitter;
use Rundfunk\Plan\Plan;

/** The farthest receiver is farther than the emitter reaches. */
final readonly class OutOfReach extends InfraredRule implements LooksNearby
{
    public function key(): string
    {
        return 'ir-out-of-reach';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (self::emitters($plan, $knowledge) as ['link' => $link, 'endpoint' => $endpoint, 'node' => $node, 'emitter' => $emitter]) {
            $sunlit = $link->settings['sunlit'] === true;
            $reachM = $emitter->end->reachM(IrEmitter::weakestUwM2($plan, $link), $sunlit);
            $distanceM = $emitter->end->distanceM;
            if ($distanceM <= $reachM) {
                continue;
            }
            $needed = (int) ceil($emitter->end->intensityMwSr * ($distanceM / $reachM) ** 2);
            yield new Finding(
                $this->key(),
                Severity::Fault,
                "{$node->name} reaches ".Figures::significant($reachM).' m and must reach '.Figures::significant($distanceM),
                Subject::of($endpoint, "{$node->name} on {$link->name}", 'distanceM'),
                ['reach_m' => round($reachM, 2), 'distance_m' => $distanceM, 'needed_mw_sr' => $needed],
                'On the axis and in the clear'.($sunlit ? ', halved by the sun' : '').'. Off the axis it is less: what is not in sight does not hear.',
                "An intensity of {$needed} mW/sr reaches: a narrower emitter, more current, or a place nearer.",
            );
        }
    }
}
