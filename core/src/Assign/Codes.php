<?php

declare(strict_types=1);

namespace Rundfunk\Assign;

use Rundfunk\Medium\CodeRange;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;

/** Which command codes are in use. */
final readonly class Codes
{
    /** @return int|null the lowest code not in use on the link, or failing that, not in use at the receiver */
    public static function free(Plan $plan, Endpoint $receiver, CodeRange $range): ?int
    {
        return $range->lowestFree(self::used($plan->hopsOver($plan->link($receiver->linkId))))
            ?? $range->lowestFree(self::used($plan->hopsTo($receiver)));
    }

    /**
     * @param  list<Hop>  $hops
     * @return array<int, true>
     */
    public static function used(array $hops): array
    {
        $used = [];
        foreach ($hops as $hop) {
            if ($hop->code !== null) {
                $used[$hop->code] = true;
            }
        }

        return $used;
    }
}
