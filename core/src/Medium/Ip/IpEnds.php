<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip;

use Rundfunk\Plan\Address;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;
use Rundfunk\Shape\Values;

/** Who is on an IP link, and under which address. */
final readonly class IpEnds
{
    public static function address(Plan $plan, Endpoint $endpoint): ?Address
    {
        return $plan->addressesOf($endpoint)[0] ?? null;
    }

    public static function number(Plan $plan, Endpoint $endpoint): ?int
    {
        $value = self::address($plan, $endpoint)?->value;

        return $value === null ? null : Subnet::number($value);
    }

    /** @return list<Endpoint> ends that run the broker */
    public static function brokers(Plan $plan, Link $link): array
    {
        return array_values(array_filter($plan->endpointsOn($link), static fn (Endpoint $end): bool => $end->settings['broker'] === true));
    }

    /** The board that makes a network of its own: the broker, or else the first; null where the house has a router. */
    public static function accessPoint(Plan $plan, Link $link): ?Endpoint
    {
        if (! IpSettings::of($link)->ownAccessPoint) {
            return null;
        }
        $boards = array_values(array_filter($plan->endpointsOn($link), static fn (Endpoint $end): bool => ! $plan->node($end->nodeId)->kind->isBought()));

        return self::brokers($plan, $link)[0] ?? $boards[0] ?? null;
    }

    public static function clientId(Endpoint $endpoint): ?string
    {
        $id = (new Values($endpoint->settings))->textOrNull('clientId');

        return $id === null || $id === '' ? null : $id;
    }
}
