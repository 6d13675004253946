<?php

declare(strict_types=1);

namespace Rundfunk\Medium;

use Rundfunk\Plan\Address;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;

interface HasAddresses
{
    /** The address that a hop is sent to, or null while there is none. */
    public function addressFor(Plan $plan, Hop $hop): ?Address;

    /** A stop's mark on the line map: short, null when the endpoint has no address. */
    public function mark(Plan $plan, Endpoint $endpoint): ?string;
}
