<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Medium\Media;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Routes\HeardTogether;

/** The number by which a node goes on a link: its place among the link's ends, counted from 1. */
final readonly class EndNumber
{
    /** The number that a message is sent to: where several hear it, the first of them stands for all, so that it goes out once. */
    public static function addressed(Plan $plan, Hop $hop, Media $media): int
    {
        $to = $plan->endpoint($hop->toId);
        $hearers = $media->offering(HeardTogether::class, $plan->link($hop->linkId)->medium)?->hearers($plan, $to) ?? [$to];

        return self::of($plan, $hearers[0]);
    }

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
