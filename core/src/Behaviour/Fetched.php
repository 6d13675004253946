<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Medium\Media;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;

/** Readings of bought things that a node of ours asks for. */
final readonly class Fetched
{
    /** @return list<array{control: Control, endpoint: Endpoint}> */
    public static function by(Plan $plan, Node $node, Media $media): array
    {
        $fetched = [];
        foreach ($plan->endpointsOf($node) as $endpoint) {
            foreach (self::over($plan, $endpoint, $media) as $control) {
                $fetched[] = ['control' => $control, 'endpoint' => $endpoint];
            }
        }

        return $fetched;
    }

    /** @return list<Control> */
    private static function over(Plan $plan, Endpoint $endpoint, Media $media): array
    {
        return $media->offering(FetchesReadings::class, $plan->link($endpoint->linkId)->medium)?->fetched($plan, $endpoint) ?? [];
    }
}
