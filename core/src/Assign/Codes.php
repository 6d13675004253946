<?php

declare(strict_types=1);

namespace Rundfunk\Assign;

use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;

/** Command codes: one byte. 0x00 and 0xFF are left out, for they are what blank memory and a dead line read as. Common practice. */
final readonly class Codes
{
    public const LOWEST = 0x01;

    public const HIGHEST = 0xFE;

    /** @return int|null the lowest code not in use on the link, or failing that, not in use at the receiver */
    public static function free(Plan $plan, Endpoint $receiver): ?int
    {
        return self::lowest(self::used($plan->hopsOver($plan->link($receiver->linkId))))
            ?? self::lowest(self::used($plan->hopsTo($receiver)));
    }

    /** @param  array<int, true>  $used */
    public static function lowest(array $used): ?int
    {
        for ($code = self::LOWEST; $code <= self::HIGHEST; $code++) {
            if (! isset($used[$code])) {
                return $code;
            }
        }

        return null;
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
