<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Cables\CoreWant;
use Rundfunk\Cables\RunsInCables;
use Rundfunk\Plan\CoreUse;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;

/** By wire a universe goes from end to end in their order, on one twisted pair and a screen: 2 is data −, 3 is data + (ANSI E1.11, the plugs of three or five pins). */
final readonly class DmxCables implements RunsInCables
{
    public function cores(Plan $plan, Link $link, string $fromId, string $toId): array
    {
        foreach ($this->stretches($plan, $link) as $stretch) {
            if ($stretch === [$fromId, $toId] || $stretch === [$toId, $fromId]) {
                return [new CoreWant(CoreUse::A, 'data + (3)', 'data + (3)', false, $link->id), new CoreWant(CoreUse::B, 'data − (2)', 'data − (2)', false, $link->id)];
            }
        }

        return [];
    }

    public function stretches(Plan $plan, Link $link): array
    {
        $stretches = [];
        foreach (DmxSettings::of($link)->isNetwork ? [] : Segments::of($plan, $link)->all() as $segment) {
            $before = $segment->fedBy;
            foreach ($segment->ends as $end) {
                if ($before !== null && $before->nodeId !== $end->nodeId) {
                    $stretches["{$before->nodeId} {$end->nodeId}"] = [$before->nodeId, $end->nodeId];
                }
                $before = $end;
            }
        }

        return array_values($stretches);
    }
}
