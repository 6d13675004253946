<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio;

use Rundfunk\Plan\Deliberate;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;
use Rundfunk\Routes\HeardTogether;

/** Receivers that share an address on purpose, where nobody acknowledges. */
final readonly class PacketBroadcast implements HeardTogether
{
    public function hearers(Plan $plan, Endpoint $to): array
    {
        $link = $plan->link($to->linkId);
        if (! $to->means(Deliberate::Broadcast) || PacketSettings::of($link)->acknowledge) {
            return [$to];
        }
        $own = self::addresses($plan, $to);
        $hearers = array_values(array_filter(
            $plan->receiversOn($link),
            static fn (Endpoint $other): bool => $other->id === $to->id || ($other->means(Deliberate::Broadcast) && array_intersect($own, self::addresses($plan, $other)) !== []),
        ));

        return $hearers === [] ? [$to] : $hearers;
    }

    /** @return list<string> */
    private static function addresses(Plan $plan, Endpoint $endpoint): array
    {
        return array_map(static fn (PacketEars $one): string => $one->parsed->hex, PacketEars::of($plan, $endpoint));
    }
}
