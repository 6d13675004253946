<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Serial\SerialBroadcast;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\RouteNames;
use Rundfunk\Routes\TwoMeanings;

/** Two commands with one code to boxes that are told together: what goes to id 0 is for each of them. */
#[Finds('serial-broadcast-misunderstood', WorkStep::Routes)]
final readonly class BroadcastMisunderstood implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $plan = $look->plan;
        foreach (TwoMeanings::on($plan, $link, new SerialBroadcast) as [$hop, $other]) {
            $receiver = $plan->node($plan->endpoint($hop->toId)->nodeId)->name;
            yield Finding::fault(
                sprintf('0x%02X means two things to boxes that are told together', (int) $hop->code),
                Spot::of($hop, RouteNames::of($plan, $plan->route($hop->routeId)), 'code'),
                "Both hear what goes to id 0: {$receiver} does its own when ".RouteNames::of($plan, $plan->route($other->routeId)).' is asked.',
                'Give each command a code of its own; one code is for one press that is meant for all.',
                Fix::change('Clear the second, for Assign to choose', $hop, ['code' => null, 'pinned' => false]),
                numbers: ['code' => $hop->code],
                about: [$hop->id, $other->id],
            );
        }
    }
}
