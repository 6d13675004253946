<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Drawing\MarksStops;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;

/** How an end is marked on the line map: by its start address. */
final readonly class DmxStops implements MarksStops
{
    public function mark(Plan $plan, Endpoint $endpoint): ?string
    {
        $start = $endpoint->role->receives() ? DmxEnd::of($endpoint)->start : null;

        return $start === null ? null : (string) $start;
    }
}
