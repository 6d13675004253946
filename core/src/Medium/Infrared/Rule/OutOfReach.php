<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Infrared\IrEmitter;
use Rundfunk\Plan\Link;

/** The farthest receiver is farther than the emitter reaches. */
#[Finds('ir-out-of-reach', WorkStep::Links)]
final readonly class OutOfReach extends InfraredRule implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        foreach ($look->plan->sendersOn($link) as $endpoint) {
            $emitter = IrEmitter::of($look->plan, $endpoint, $look->catalogue);
            if ($emitter !== null) {
                yield from self::judge($look->end($endpoint), $emitter, IrEmitter::weakestUwM2($look->plan, $link));
            }
        }
    }

    /**
     * @param  int  $weakestUwM2  what the hardest-of-hearing receiver wants
     * @return list<Finding>
     */
    private static function judge(End $end, IrEmitter $emitter, int $weakestUwM2): array
    {
        $sunlit = $end->link->settings['sunlit'] === true;
        $reachM = $emitter->end->reachM($weakestUwM2, $sunlit);
        $distanceM = $emitter->end->distanceM;
        if ($distanceM <= $reachM) {
            return [];
        }
        $needed = (int) ceil($emitter->end->intensityMwSr * ($distanceM / $reachM) ** 2);

        return [Finding::fault(
            "{$end->node->name} reaches ".Figures::significant($reachM).' m and must reach '.Figures::significant($distanceM),
            $end->at('distanceM'),
            'On the axis and in the clear'.($sunlit ? ', halved by the sun' : '').'. Off the axis it is less: what is not in sight does not hear.',
            "An intensity of {$needed} mW/sr reaches: a narrower emitter, more current, or a place nearer.",
            numbers: ['reach_m' => round($reachM, 2), 'distance_m' => $distanceM, 'needed_mw_sr' => $needed],
        )];
    }
}
