<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip;

use Rundfunk\Drawing\MarksStops;
use Rundfunk\Plan\Address;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Routes\HasAddresses;

/** Where a message goes, and how an end is marked on the line map. */
final readonly class IpStops implements HasAddresses, MarksStops
{
    public function addressFor(Plan $plan, Hop $hop): ?Address
    {
        return IpEnds::address($plan, $plan->endpoint($hop->toId));
    }

    public function mark(Plan $plan, Endpoint $endpoint): ?string
    {
        $value = IpEnds::address($plan, $endpoint)?->value;

        return $value === null ? null : (string) strrchr($value, '.');
    }
}
