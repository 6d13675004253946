<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Dmx\Dmx;
use Rundfunk\Plan\Spot;

/** Lamps of which nobody has looked up what they do without data. */
#[Finds('dmx-loss-unsaid', WorkStep::Links)]
final readonly class LossUnsaid implements PlanRule
{
    public function check(Look $look): iterable
    {
        $used = [];
        foreach ($look->plan->linksOver(Dmx::KEY) as $link) {
            foreach ($look->plan->endpointsOn($link) as $end) {
                $node = $look->plan->node($end->nodeId);
                if ($end->role->receives() && $node->kind->isBought() && $node->fixtureTypeId !== null) {
                    $used[$node->fixtureTypeId] ??= $node;
                }
            }
        }
        foreach ($used as $id => $node) {
            $type = $look->plan->fixtureType($id);
            if ($type->onLoss !== 'unknown') {
                continue;
            }
            yield Finding::advice(
                "Nobody has looked up what {$type->name} does when nothing comes any more",
                Spot::of($type, $type->name, 'onLoss'),
                'After a second without a packet some hold what they were told, some go dark, some begin a show of their own: after a power cut in the shed that is the light of the night.',
                'Its manual says it, or pulling the plug does.',
                about: [$type->id, $node->id],
            );
        }
    }
}
