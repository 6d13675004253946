<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio;

use Rundfunk\Plan\Address;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;

/**
 * Who listens on what. A receiver has six pipes: pipe 1 with a full address, 2 to 5 that share all of it but the last
 * byte, and pipe 0, free-standing, but borrowed by a sender for its acknowledges. Source: data sheet of the class, from memory.
 */
final readonly class PacketPipes
{
    public const COUNT = 6;

    /** The order in which a receiver's pipes are used up. */
    public const ORDER = [1, 2, 3, 4, 5, 0];

    /** @return list<Endpoint> the endpoints that send to this one, in their own order; every sender of the link while no route says */
    public static function sendersTo(Plan $plan, Endpoint $receiver): array
    {
        $ids = [];
        foreach ($plan->hopsTo($receiver) as $hop) {
            $ids[$hop->fromId] = true;
        }
        $endpoints = $plan->endpointsOn($plan->link($receiver->linkId));

        return array_values(array_filter($endpoints, static fn (Endpoint $end): bool => isset($ids[$end->id])));
    }

    /** How many addresses a receiver must listen on. */
    public static function needed(Plan $plan, Endpoint $receiver): int
    {
        if (! $receiver->role->receives()) {
            return 0;
        }
        $settings = PacketSettings::of($plan->link($receiver->linkId));

        return $settings->senderId ? 1 : max(1, count(self::sendersTo($plan, $receiver)));
    }

    /** The address that one sender uses to reach one receiver: the only one, or its own pipe. */
    public static function addressBetween(Plan $plan, string $fromId, Endpoint $receiver): ?Address
    {
        $byPipe = [];
        foreach ($plan->addressesOf($receiver) as $address) {
            $byPipe[$address->pipe] ??= $address;
        }
        $place = 0;
        if (! PacketSettings::of($plan->link($receiver->linkId))->senderId) {
            foreach (self::sendersTo($plan, $receiver) as $index => $sender) {
                $place = $sender->id === $fromId ? $index : $place;
            }
        }
        $pipe = self::ORDER[$place] ?? null;
        $first = $byPipe === [] ? null : $byPipe[array_key_first($byPipe)];

        return $pipe === null ? null : $byPipe[$pipe] ?? ($place === 0 ? $first : null);
    }
}
