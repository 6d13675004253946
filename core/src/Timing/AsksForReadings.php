<?php

declare(strict_types=1);

namespace Rundfunk\Timing;

use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;

/** A medium over which readings are asked for: its spans say how long one waits until it is, and no reading waits twice. */
interface AsksForReadings
{
    public function asksFor(Plan $plan, Hop $hop): bool;
}
