<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Power\SupplyTree;

/** The voltage that an emitter's resistor is worked out for: the one it gets. */
final readonly class EmitterSupplyStep implements Step
{
    public function stage(): Stage
    {
        return Stage::End;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        $tree = new SupplyTree($plan, $knowledge->catalogue);
        foreach ($plan->linksOver(Infrared::KEY) as $link) {
            foreach ($plan->endpointsOn($link) as $endpoint) {
                $emitter = IrEmitter::of($plan, $endpoint, $knowledge->catalogue);
                $getsV = $emitter?->getsV($plan, $endpoint, $knowledge->catalogue, $tree);
                if ($emitter === null || $getsV === null || ! $emitter->isForAnother($getsV) || $endpoint->pins('supplyV')) {
                    continue;
                }
                $node = $plan->node($endpoint->nodeId);
                yield new Proposal(
                    $this->stage(),
                    Spot::of($endpoint, "{$node->name} on {$link->name}", 'supplyV'),
                    "Resistor of {$node->name} on {$link->name}",
                    'for '.Figures::significant($emitter->end->supplyV).' V',
                    'for '.Figures::significant($getsV).' V',
                    'That is what feeds the emitter.',
                    [Operation::change(ThingKind::Endpoint, $endpoint->id, ['settings' => ['supplyV' => round($getsV, 1)]])],
                );
            }
        }
    }
}
