<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

use Rundfunk\Drawing\MarksStops;
use Rundfunk\Figures;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;

/** Where a message goes, and how an end is marked on the line map. */
final readonly class IrStops implements MarksStops
{
    public function mark(Plan $plan, Endpoint $endpoint): ?string
    {
        $node = $plan->node($endpoint->nodeId);

        return match (true) {
            $node->kind === NodeKind::Remote => Figures::counted(count($plan->controlsOf($node)), 'key'),
            $node->kind === NodeKind::Fixture => null,
            $endpoint->role === Role::Sends => 'emit',
            $endpoint->role === Role::Receives => 'recv',
            default => 'both',
        };
    }
}
