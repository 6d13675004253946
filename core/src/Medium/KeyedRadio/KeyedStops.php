<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio;

use Rundfunk\Drawing\MarksStops;
use Rundfunk\Figures;
use Rundfunk\Plan\Address;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Routes\HasAddresses;

/** Where a message goes, and how an end is marked on the line map. */
final readonly class KeyedStops implements HasAddresses, MarksStops
{
    public function addressFor(Plan $plan, Hop $hop): ?Address
    {
        return $plan->addressesOf($plan->endpoint($hop->fromId))[0] ?? null;
    }

    public function mark(Plan $plan, Endpoint $endpoint): ?string
    {
        $node = $plan->node($endpoint->nodeId);
        $number = KeyedCodes::senderNumber($plan, $endpoint);

        return match (true) {
            $node->kind === NodeKind::Remote => Figures::counted(count($plan->controlsOf($node)), 'key'),
            $number !== null => sprintf('%05X', $number),
            default => null,
        };
    }
}
