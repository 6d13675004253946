<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio;

use Rundfunk\Drawing\MarksStops;
use Rundfunk\Plan\Address;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Routes\HasAddresses;

/** Where a message goes, and how an end is marked on the line map. */
final readonly class PacketStops implements HasAddresses, MarksStops
{
    public function addressFor(Plan $plan, Hop $hop): ?Address
    {
        return PacketPipes::addressBetween($plan, $hop->fromId, $plan->endpoint($hop->toId));
    }

    public function mark(Plan $plan, Endpoint $endpoint): ?string
    {
        $address = PacketAddress::tryParse(($plan->addressesOf($endpoint)[0] ?? null)?->value);

        return $address === null ? null : '…'.substr($address->hex, -2);
    }
}
