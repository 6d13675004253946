<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Medium\Media;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;

/** What the links of a node remember between them, besides its behaviour. */
final readonly class LinkMemory
{
    /** @return int bytes on an 8-bit board */
    public static function of(Plan $plan, Node $node, Media $media): int
    {
        $bytes = 0;
        foreach ($plan->endpointsOf($node) as $endpoint) {
            $bytes += $media->offering(TakesMemory::class, $plan->link($endpoint->linkId)->medium)?->memoryBytes($plan, $endpoint) ?? 0;
        }

        return $bytes;
    }
}
