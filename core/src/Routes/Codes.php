<?php

declare(strict_types=1);

namespace Rundfunk\Routes;

use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;

/** Which command codes are in use. */
final readonly class Codes
{
    /** @return int|null the lowest code not in use on the link, or failing that, not in use where the hop needs one of its own */
    public static function free(Plan $plan, Hop $hop, CodeRange $range): ?int
    {
        return $range->lowestFree(self::used($plan->hopsOver($plan->link($hop->linkId))))
            ?? $range->lowestFree(self::used(self::alongside($plan, $hop, $range)));
    }

    /** @return list<Hop> those from whose commands this one's must be told, itself among them */
    public static function alongside(Plan $plan, Hop $hop, CodeRange $range): array
    {
        $end = $plan->endpoint($range->endpointId);

        return $range->endpointId === $hop->fromId ? $plan->hopsFrom($end) : $plan->hopsTo($end);
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
