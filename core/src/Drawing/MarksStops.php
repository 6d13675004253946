<?php

declare(strict_types=1);

namespace Rundfunk\Drawing;

use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;

interface MarksStops
{
    /** A stop's mark on the line map: short, null when there is nothing to say. */
    public function mark(Plan $plan, Endpoint $endpoint): ?string;
}
