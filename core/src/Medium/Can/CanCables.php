<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

use Rundfunk\Cables\CoreWant;
use Rundfunk\Cables\RunsInCables;
use Rundfunk\Plan\CoreUse;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;

/** A bus goes from end to end in their order: H to H and L to L, on one twisted pair, and nothing crosses. */
final readonly class CanCables implements RunsInCables
{
    public function cores(Plan $plan, Link $link, string $fromId, string $toId): array
    {
        foreach ($this->stretches($plan, $link) as $stretch) {
            if ($stretch === [$fromId, $toId] || $stretch === [$toId, $fromId]) {
                return [new CoreWant(CoreUse::A, 'H', 'H', false, $link->id), new CoreWant(CoreUse::B, 'L', 'L', false, $link->id)];
            }
        }

        return [];
    }

    public function stretches(Plan $plan, Link $link): array
    {
        $stretches = [];
        $before = null;
        foreach ($plan->endpointsOn($link) as $end) {
            if ($before !== null && $before !== $end->nodeId) {
                $stretches[] = [$before, $end->nodeId];
            }
            $before = $end->nodeId;
        }

        return $stretches;
    }
}
