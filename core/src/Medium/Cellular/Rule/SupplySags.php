<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Cellular\Modem;
use Rundfunk\Plan\Spot;
use Rundfunk\Power\Burst;
use Rundfunk\Power\SupplyTree;

/** A supply that sags below what the modem needs when it sends. */
#[Finds('cell-supply-sags', WorkStep::Links)]
final readonly class SupplySags implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $modem = Modem::of($look->plan, $end->endpoint, $look->catalogue);
        if ($modem === null) {
            return [];
        }
        $burst = $modem->module === null ? null : Burst::of(SupplyTree::in($look), $modem->module);
        if ($burst === null) {
            return [];
        }
        $droop = $burst->droop();
        $leastV = $modem->class->minV ?? 0.0;
        $none = $droop === null;
        if ($droop !== null && $droop->steadyV() >= $leastV) {
            return [];
        }
        $enough = $burst->enoughUf($leastV);

        return [Finding::fault(
            $none ? "{$modem->node->name} has no capacitor at its modem" : 'The modem of '.$modem->node->name.' sags to '.Figures::significant($droop->steadyV()).' V when it sends',
            Spot::of($modem->endpoint, $modem->where(), 'moduleId'),
            ($droop === null ? '' : 'The first burst takes it to '.Figures::significant($droop->firstV()).' V, and the next comes before it has recovered. ')
                .'Below '.Figures::significant($leastV).' V it drops off the network or starts again, and the lamp blinks as if it were searching.',
            'A stiffer supply, short thick wires, and 1000 µF or more right at its pins.',
            $enough === null ? null : new Fix('Put '.Figures::significant($enough).' µF there', ...$burst->with($look->plan, $enough)),
            numbers: ['first_v' => $droop === null ? null : round($droop->firstV(), 2), 'steady_v' => $droop === null ? null : round($droop->steadyV(), 2), 'least_v' => $leastV],
            about: [$modem->endpoint->id, 'capacitorUf'],
        )];
    }
}
