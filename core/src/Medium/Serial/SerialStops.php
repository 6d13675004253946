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
        $line = SerialLine::of($plan, $plan->link($endpoint->linkId));
        $id = $line->hasId($endpoint) ? SerialEnd::of($endpoint)->station : null;

        return $line->asker()?->id === $endpoint->id ? 'asks' : ($id === null ? null : "id {$id}");
    }
}
