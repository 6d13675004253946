<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Ip\Ip;
use Rundfunk\Medium\Ip\IpEnds;
use Rundfunk\Medium\Ip\Topics;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;
use Rundfunk\Plan\ThingKind;

/** How each node names itself to the broker: by its own name, once. */
final readonly class ClientStep implements Step
{
    private const LONGEST = 23;

    public function stage(): Stage
    {
        return Stage::End;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->linksOver(Ip::KEY) as $link) {
            $taken = [];
            foreach ($plan->endpointsOn($link) as $endpoint) {
                $now = IpEnds::clientId($endpoint);
                if ($now !== null && ! isset($taken[$now])) {
                    $taken[$now] = true;

                    continue;
                }
                $node = $plan->node($endpoint->nodeId);
                $base = substr(Topics::slug($node->name), 0, self::LONGEST - 4);
                $id = $base;
                for ($again = 2; isset($taken[$id]); $again++) {
                    $id = "{$base}-{$again}";
                }
                $taken[$id] = true;
                if ($endpoint->pins('clientId')) {
                    continue;
                }
                yield new Proposal(
                    $this->stage(),
                    Spot::of($endpoint, "{$node->name} on {$link->name}", 'clientId'),
                    "Client id of {$node->name} on {$link->name}",
                    $now,
                    $id,
                    'Its own name: the broker throws out the first of two that have one id.',
                    [Operation::change(ThingKind::Endpoint, $endpoint->id, ['settings' => ['clientId' => $id]])],
                );
            }
        }
    }
}
