<?php

declare(strict_types=1);

namespace Rundfunk\Routes;

use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;

/** A medium on which some of what is said waits for whoever does not listen just then. */
interface KeepsMessages
{
    public function keeps(Plan $plan, Hop $hop): bool;
}
