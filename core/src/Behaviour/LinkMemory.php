<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Knowledge;
use Rundfunk\Medium\Media;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;

/** What the links of a node remember between them, besides its behaviour. */
final readonly class LinkMemory
{
    /** @return int bytes of memory on an 8-bit board, tables that never change among them */
    public static function of(Plan $plan, Node $node, Knowledge $knowledge): int
    {
        $bytes = self::sum($plan, $node, $knowledge->media, static fn (TakesMemory $takes, Endpoint $endpoint, MessageNumbers $numbers): int => $takes->memoryBytes($plan, $endpoint, $numbers));
        foreach ($plan->endpointsOf($node) as $endpoint) {
            $bytes += $knowledge->media->offering(HoldsConstants::class, $plan->link($endpoint->linkId)->medium)?->constantBytes($plan, $endpoint, $knowledge) ?? 0;
        }
        foreach ($plan->modulesOf($node) as $module) {
            // What a wireless pad is asked with.
            $bytes += count($knowledge->catalogue->classOf($module)->report->ask ?? []);
        }

        return $bytes;
    }

    /** @return int bytes of program on an 8-bit board, about */
    public static function program(Plan $plan, Node $node, Media $media): int
    {
        return self::sum($plan, $node, $media, static fn (TakesMemory $takes, Endpoint $endpoint, MessageNumbers $numbers): int => $takes->programBytes($plan, $endpoint, $numbers));
    }

    /** @param  callable(TakesMemory, Endpoint, MessageNumbers): int  $takes */
    private static function sum(Plan $plan, Node $node, Media $media, callable $takes): int
    {
        $bytes = 0;
        $numbers = new MessageNumbers($plan, $media);
        foreach ($plan->endpointsOf($node) as $endpoint) {
            $medium = $media->offering(TakesMemory::class, $plan->link($endpoint->linkId)->medium);
            $bytes += $medium === null ? 0 : $takes($medium, $endpoint, $numbers);
        }

        return $bytes;
    }
}
