<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

use Rundfunk\Drawing\MarksStops;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;

/** How an end is marked on the line map: by the identifier under which it commands, or that it only listens. */
final readonly class CanStops implements MarksStops
{
    public function mark(Plan $plan, Endpoint $endpoint): ?string
    {
        $end = CanEnd::of($plan, $endpoint);

        return match (true) {
            $end->listenOnly => 'listens',
            $end->identifier !== null => CanMessage::hexOf($end->identifier, false),
            default => null,
        };
    }
}
