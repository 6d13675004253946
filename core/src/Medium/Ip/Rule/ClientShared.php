<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Ip\IpEnds;
use Rundfunk\Plan\Link;

/** Two nodes that name themselves alike to the broker. */
#[Finds('ip-client-shared', WorkStep::Links)]
final readonly class ClientShared implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $first = [];
        foreach ($look->plan->endpointsOn($link) as $endpoint) {
            $id = IpEnds::clientId($endpoint);
            $end = $look->end($endpoint);
            $other = $id === null ? $end : $first[$id] ??= $end;
            if ($other === $end) {
                continue;
            }
            yield Finding::fault(
                "{$other->node->name} and {$end->node->name} have one client id",
                $end->at('clientId'),
                'The broker throws out the first whenever the second comes, and the first comes back and throws out the second: both flap for ever.',
                'Give each its own.',
                Fix::settings('Clear the second, for Assign to choose', $endpoint, ['clientId' => null]),
                numbers: ['client_id' => $id],
                about: [$other->endpoint->id, $endpoint->id],
            );
        }
    }
}
