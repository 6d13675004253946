<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Plan;

/** Who asks, or would. */
final readonly class Askers
{
    /** @return Endpoint|null who is set to; while nobody is, or several are, the one that would be chosen; null where none is asked, or none can */
    public static function likely(Plan $plan, SerialLine $line): ?Endpoint
    {
        return $line->settings->topology === Topology::Polled ? $line->asker() ?? self::best($plan, $line) : null;
    }

    /** One that says so already, whoever is pinned first; a gateway; whoever has most to say. */
    public static function best(Plan $plan, SerialLine $line): ?Endpoint
    {
        $able = array_values(array_filter($line->ends, static fn (Endpoint $end): bool => ! $plan->node($end->nodeId)->kind->isBought() && (SerialEnd::of($end)->asks || ! $end->pins('asks'))));
        $worth = static fn (Endpoint $end): array => [
            SerialEnd::of($end)->asks && $end->pins('asks') ? 1 : 0,
            SerialEnd::of($end)->asks ? 1 : 0,
            $plan->node($end->nodeId)->kind === NodeKind::Gateway ? 1 : 0,
            self::told($plan, $end),
        ];
        usort($able, static fn (Endpoint $one, Endpoint $other): int => $worth($other) <=> $worth($one));

        return $able[0] ?? null;
    }

    /** @return int routes that begin at its node */
    private static function told(Plan $plan, Endpoint $end): int
    {
        $count = 0;
        foreach ($plan->controlsOf($plan->node($end->nodeId)) as $control) {
            $count += count($plan->routesFrom($control));
        }

        return $count;
    }
}
