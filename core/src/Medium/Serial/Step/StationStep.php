<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Serial\Serial;
use Rundfunk\Medium\Serial\SerialEnd;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;

/** Ids of the nodes on a line, from 1 up; those with the fewest switches choose first. */
final readonly class StationStep implements Step
{
    public function stage(): Stage
    {
        return Stage::Address;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->linksOver(Serial::KEY) as $link) {
            $taken = [];
            $wanting = [];
            $ends = $plan->endpointsOn($link);
            usort($ends, static fn (Endpoint $one, Endpoint $other): int => [$other->pins('station'), SerialEnd::of($one)->highestId(), $one->order, $one->id] <=> [$one->pins('station'), SerialEnd::of($other)->highestId(), $other->order, $other->id]);
            foreach ($ends as $end) {
                $at = SerialEnd::of($end);
                $sound = $at->station !== null && $at->station !== SerialEnd::EVERYBODY && $at->station <= $at->highestId() && ! isset($taken[$at->station]);
                if ($at->station !== null && ($sound || $end->pins('station'))) {
                    $taken[$at->station] = true;
                } elseif (! $end->pins('station')) {
                    $wanting[] = $end;
                }
            }
            foreach ($wanting as $end) {
                $at = SerialEnd::of($end);
                $id = 1;
                while (isset($taken[$id])) {
                    $id++;
                }
                if ($id > $at->highestId()) {
                    continue;
                }
                $taken[$id] = true;
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
