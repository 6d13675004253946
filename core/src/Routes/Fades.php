<?php

declare(strict_types=1);

namespace Rundfunk\Routes;

use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;

/** A medium at whose far end something goes from one value to another little by little. */
interface Fades
{
    public function fades(Plan $plan, Hop $hop): bool;
}
