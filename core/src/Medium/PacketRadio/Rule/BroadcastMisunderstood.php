<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\PacketRadio\PacketBroadcast;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\RouteNames;

/** Two commands with one code to receivers that hear everything that is sent to each other. */
#[Finds('packet-broadcast-misunderstood', WorkStep::Routes)]
final readonly class BroadcastMisunderstood implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $plan = $look->plan;
        $broadcast = new PacketBroadcast;
        $first = [];
        foreach ($plan->hopsOver($link) as $hop) {
            $to = $plan->endpoint($hop->toId);
            $hearers = $hop->code === null || $to->linkId !== $link->id ? [$to] : $broadcast->hearers($plan, $to);
            if (count($hearers) < 2) {
                continue;
            }
            $other = $first["{$hearers[0]->id} {$hop->code}"] ??= $hop;
            $route = $plan->route($hop->routeId);
            $before = $plan->route($other->routeId);
            if ($other->toId === $hop->toId || ($route->controlId === $before->controlId && $route->action === $before->action && $route->value === $before->value)) {
                continue;
            }

            yield Finding::fault(
                sprintf('0x%02X means two things to receivers that hear each other', (int) $hop->code),
                Spot::of($hop, RouteNames::of($plan, $route), 'code'),
                "They share an address, so each hears what is meant for the other: {$plan->node($to->nodeId)->name} does its own when ".RouteNames::of($plan, $before).' is asked.',
                'Give each command a code of its own; one code is for one press that is meant for all.',
                Fix::change('Clear the second, for Assign to choose', $hop, ['code' => null, 'pinned' => false]),
                numbers: ['code' => $hop->code],
                about: [$hop->id, $other->id],
            );
        }
    }
}
