<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio;

use Rundfunk\Plan\Address;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;

/** One readable address that somebody listens on. */
final readonly class PacketEars
{
    private function __construct(public Address $address, public PacketAddress $parsed, public Endpoint $endpoint, public Node $node, public Link $link)
    {
    }

    /** @return list<self> of one end, pipe by pipe */
    public static function of(Plan $plan, Endpoint $endpoint): array
    {
        $ears = [];
        foreach ($plan->addressesOf($endpoint) as $address) {
            $parsed = PacketAddress::tryParse($address->value);
            if ($parsed !== null) {
                $ears[] = new self($address, $parsed, $endpoint, $plan->node($endpoint->nodeId), $plan->link($endpoint->linkId));
            }
        }

        return $ears;
    }

    /** @return list<self> of every packet radio link, in the order of links and ends */
    public static function all(Plan $plan): array
    {
        $ears = [];
        foreach ($plan->linksOver(PacketRadio::KEY) as $link) {
            foreach ($plan->endpointsOn($link) as $endpoint) {
                array_push($ears, ...self::of($plan, $endpoint));
            }
        }

        return $ears;
    }

    public function where(): string
    {
        return "{$this->node->name} on {$this->link->name}, pipe {$this->address->pipe}";
    }
}
