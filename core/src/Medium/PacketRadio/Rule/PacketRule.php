<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Rule;

use Rundfunk\Check\Fix;
use Rundfunk\Check\Rule;
use Rundfunk\Edit\Operation;
use Rundfunk\Medium\PacketRadio\PacketAddress;
use Rundfunk\Medium\PacketRadio\PacketRadio;
use Rundfunk\Plan\Address;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

/** What every rule of packet radio looks at. */
abstract readonly class PacketRule implements Rule
{
    public function reads(): array
    {
        return [
            ThingKind::Node, ThingKind::Module, ThingKind::Link, ThingKind::Endpoint, ThingKind::Address,
            ThingKind::Control, ThingKind::Output, ThingKind::Route, ThingKind::Hop,
        ];
    }

    /** @return list<Endpoint> */
    protected static function senders(Plan $plan, Link $link): array
    {
        return array_values(array_filter($plan->endpointsOn($link), static fn (Endpoint $end): bool => $end->role->sends()));
    }

    /** @return list<Endpoint> */
    protected static function receivers(Plan $plan, Link $link): array
    {
        return array_values(array_filter($plan->endpointsOn($link), static fn (Endpoint $end): bool => $end->role->receives()));
    }

    /** @param  array<string, mixed>  $values */
    protected static function setLink(Link $link, string $label, array $values): Fix
    {
        return new Fix($label, Operation::change(ThingKind::Link, $link->id, ['settings' => $values]));
    }

    /** @return list<array{address: Address, parsed: PacketAddress, endpoint: Endpoint, node: Node, link: Link}> every readable address on packet radio */
    protected static function addresses(Plan $plan): array
    {
        $found = [];
        foreach ($plan->linksOver(PacketRadio::KEY) as $link) {
            foreach ($plan->endpointsOn($link) as $endpoint) {
                foreach ($plan->addressesOf($endpoint) as $address) {
                    $parsed = PacketAddress::tryParse($address->value);
                    if ($parsed !== null) {
                        $found[] = ['address' => $address, 'parsed' => $parsed, 'endpoint' => $endpoint, 'node' => $plan->node($endpoint->nodeId), 'link' => $link];
                    }
                }
            }
        }

        return $found;
    }
}
