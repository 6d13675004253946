<?php

declare(strict_types=1);

namespace Rundfunk\Routes;

use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;

/** One code for two commands, where each receiver hears what is meant for the other. */
final readonly class TwoMeanings
{
    /** @return iterable<array{Hop, Hop}> a hop, and the first with its code that means something else */
    public static function on(Plan $plan, Link $link, HeardTogether $together): iterable
    {
        $hearers = [];
        $first = [];
        foreach ($plan->hopsOver($link) as $hop) {
            if ($hop->code === null || $plan->endpoint($hop->toId)->linkId !== $link->id) {
                continue;
            }
            $heardBy = $hearers[$hop->toId] ??= $together->hearers($plan, $plan->endpoint($hop->toId));
            if (count($heardBy) < 2) {
                continue;
            }
            $other = $first["{$heardBy[0]->id} {$hop->code}"] ??= $hop;
            $route = $plan->route($hop->routeId);
            $before = $plan->route($other->routeId);
            if ($other->toId !== $hop->toId && ($route->controlId !== $before->controlId || $route->action !== $before->action || $route->value !== $before->value)) {
                yield [$hop, $other];
            }
        }
    }
}
