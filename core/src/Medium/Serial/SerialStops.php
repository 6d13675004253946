<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Drawing\MarksStops;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;

/** How an end is marked on the line map: by its id. */
final readonly class SerialStops implements MarksStops
{
    public function mark(Plan $plan, Endpoint $endpoint): ?string
    {
        $end = SerialEnd::of($endpoint);

        return $end->station === null ? null : ($end->asks ? 'asks' : "id {$end->station}");
    }
}
