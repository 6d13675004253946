<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\ModuleRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Spot;
use Rundfunk\Power\Burst;
use Rundfunk\Power\SupplyTree;

/** A supply that sags below what the modem needs when it sends. */
#[Finds('cell-supply-sags', WorkStep::Links)]
final readonly class SupplySags implements ModuleRule
{
    public function check(Module $module, Look $look): iterable
    {
        $class = $look->catalogue->classOf($module);
        $burst = $class->bursts() ? Burst::of(SupplyTree::in($look), $module) : null;
        $leastV = $class->minV;
        if ($burst === null || ! $burst->sagsBelow($leastV)) {
            return [];
        }
        // On a link or not: it is soldered as it stands.
        $endpoint = $look->plan->having(Endpoint::class, 'moduleId', $module->id)[0] ?? null;
        $node = $look->plan->node($module->nodeId);
        $droop = $burst->droop();
        $none = $droop === null;
        $enough = $burst->enoughUf($leastV);

        return [Finding::fault(
            $none ? "{$node->name} has no capacitor at its modem" : 'The modem of '.$node->name.' sags to '.Figures::significant($droop->steadyV()).' V when it sends',
            $endpoint === null ? Spot::of($module, "{$node->name}, {$module->name}", 'supplyId') : Spot::of($endpoint, $look->end($endpoint)->where(), 'moduleId'),
            ($droop === null ? '' : 'The first burst takes it to '.Figures::significant($droop->firstV()).' V, and the next comes before it has recovered. ')
                .'Below '.Figures::significant($leastV).' V it drops off the network or starts again, and the lamp blinks as if it were searching.',
            'A stiffer supply, short thick wires, and 1000 µF or more right at its pins.',
            $enough === null ? null : new Fix('Put '.Figures::significant($enough).' µF there', ...$burst->with($look->plan, $enough)),
            numbers: ['first_v' => $droop === null ? null : round($droop->firstV(), 2), 'steady_v' => $droop === null ? null : round($droop->steadyV(), 2), 'least_v' => $leastV],
            about: [$endpoint->id ?? $module->id, 'capacitorUf'],
        )];
    }
}
