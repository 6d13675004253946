<?php

declare(strict_types=1);

namespace Rundfunk\Routes;

use Rundfunk\Plan\Address;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;

interface HasAddresses
{
    /** The address that a hop is sent to, or null while there is none. */
    public function addressFor(Plan $plan, Hop $hop): ?Address;
}
