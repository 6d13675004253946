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
use Rundfunk\Routes\TwoMeanings;

/** Two commands with one code to receivers that hear everything that is sent to each other. */
#[Finds('packet-broadcast-misunderstood', WorkStep::Routes)]
final readonly class BroadcastMisunderstood implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $plan = $look->plan;
        foreach (TwoMeanings::on($plan, $link, new PacketBroadcast) as [$hop, $other]) {
            $receiver = $plan->node($plan->endpoint($hop->toId)->nodeId)->name;
            yield Finding::fault(
                sprintf('0x%02X means two things to receivers that hear each other', (int) $hop->code),
                Spot::of($hop, RouteNames::of($plan, $plan->route($hop->routeId)), 'code'),
                "They share an address, so each hears what is meant for the other: {$receiver} does its own when ".RouteNames::of($plan, $plan->route($other->routeId)).' is asked.',
                'Give each command a code of its own; one code is for one press that is meant for all.',
                Fix::change('Clear the second, for Assign to choose', $hop, ['code' => null, 'pinned' => false]),
                numbers: ['code' => $hop->code],
                about: [$hop->id, $other->id],
            );
        }
    }
}
