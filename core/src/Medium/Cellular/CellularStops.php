<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular;

use Rundfunk\Drawing\MarksStops;
use Rundfunk\Plan\Address;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Routes\HasAddresses;

/** Where a message goes, and how an end is marked on the line map. */
final readonly class CellularStops implements HasAddresses, MarksStops
{
    public function addressFor(Plan $plan, Hop $hop): ?Address
    {
        return $plan->addressesOf($plan->endpoint($hop->toId))[0] ?? null;
    }

    public function mark(Plan $plan, Endpoint $endpoint): ?string
    {
        $node = $plan->node($endpoint->nodeId);
        $number = Commands::number($plan, $endpoint)?->e164;

        return match (true) {
            $node->kind !== NodeKind::Phone => 'modem',
            $number === null => null,
            default => '…'.substr($number, -3),
        };
    }
}
