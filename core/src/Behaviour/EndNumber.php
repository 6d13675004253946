<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;

/** The number by which a node goes on a link: its place among the link's ends, counted from 1. */
final readonly class EndNumber
{
    public static function of(Plan $plan, Endpoint $endpoint): int
    {
        foreach ($plan->endpointsOn($plan->link($endpoint->linkId)) as $index => $other) {
            if ($other->id === $endpoint->id) {
                return $index + 1;
            }
        }

        return 0;
    }
}
