<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Serial\Serial;
use Rundfunk\Medium\Serial\SerialEnd;
use Rundfunk\Medium\Serial\Stations;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;

/** Ids of the nodes on a line, from 1 up. */
final readonly class StationStep implements Step
{
    public function stage(): Stage
    {
        return Stage::Address;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->linksOver(Serial::KEY) as $link) {
            $ids = Stations::of($plan, $link)->ids;
            foreach ($plan->endpointsOn($link) as $end) {
                $at = SerialEnd::of($end);
                $id = $ids[$end->id] ?? null;
                if ($id === null || $id === $at->station || $end->pins('station')) {
                    continue;
                }
                $node = $plan->node($end->nodeId);
                yield new Proposal(
                    $this->stage(), Spot::of($end, "{$node->name} on {$link->name}", 'station'), "Id of {$node->name} on {$link->name}",
                    $at->station === null ? null : (string) $at->station, (string) $id,
                    'The lowest that is free; 0 is what everybody hears.',
                    [Operation::change(Endpoint::kind(), $end->id, ['settings' => ['station' => $id]])],
                );
            }
        }
    }
}
