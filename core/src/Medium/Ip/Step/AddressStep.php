<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Ip\Ip;
use Rundfunk\Medium\Ip\IpEnds;
use Rundfunk\Medium\Ip\IpSettings;
use Rundfunk\Medium\Ip\Rule\AddressHandedOut;
use Rundfunk\Medium\Ip\Subnet;
use Rundfunk\Plan\Address;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;
use Rundfunk\Plan\ThingKind;

/** A fixed address for each node: from .10 up, then from .2, clear of what is handed out; .1 for a board that makes the network. */
final readonly class AddressStep implements Step
{
    /** Where people begin: below it stand routers and what else was there before. */
    private const FIRST = 10;

    /** The first is the router's own, as a rule. */
    private const LEAST = 2;

    public function stage(): Stage
    {
        return Stage::Address;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->linksOver(Ip::KEY) as $link) {
            $settings = IpSettings::of($link);
            $subnet = $settings->subnet;
            if ($subnet === null) {
                continue;
            }
            $taken = [];
            $homeless = [];
            $own = IpEnds::accessPoint($plan, $link);
            foreach ($plan->endpointsOn($link) as $endpoint) {
                $number = IpEnds::number($plan, $endpoint);
                $pinned = IpEnds::address($plan, $endpoint)->pinned ?? false;
                // Who makes the network is the first of it: there its stations look for it.
                $fits = $number !== null && ($endpoint->id !== $own?->id || $subnet->hostNumber($number) === 1) && $subnet->isHost($number) && ! isset($taken[$number]) && ! AddressHandedOut::isHandedOut($settings, $subnet->hostNumber($number));
                if ($number !== null && ($pinned || $fits)) {
                    $taken[$number] = true;
                } elseif (! $pinned) {
                    $homeless[] = $endpoint;
                }
            }
            foreach ($homeless as $endpoint) {
                $first = $subnet->host(1);
                $host = $endpoint->id === $own?->id && ! isset($taken[(int) Subnet::number($first)]) ? $first : self::free($settings, $subnet, $taken);
                if ($host !== null) {
                    $taken[(int) Subnet::number($host)] = true;
                    yield $this->proposal($plan, $link, $endpoint, $host, $endpoint->id === $own?->id);
                }
            }
        }
    }

    /** @param  array<int, true>  $taken */
    private static function free(IpSettings $settings, Subnet $subnet, array $taken): ?string
    {
        foreach ([[self::FIRST, $subnet->size() - 2], [self::LEAST, min(self::FIRST - 1, $subnet->size() - 2)]] as [$from, $to]) {
            for ($number = $from; $number <= $to; $number++) {
                if (AddressHandedOut::isHandedOut($settings, $number)) {
                    $number = max($number, $settings->dhcpTo);
                } elseif (! isset($taken[(int) Subnet::number($subnet->host($number))])) {
                    return $subnet->host($number);
                }
            }
        }

        return null;
    }

    private function proposal(Plan $plan, Link $link, Endpoint $endpoint, string $host, bool $makesIt): Proposal
    {
        $node = $plan->node($endpoint->nodeId);
        $address = IpEnds::address($plan, $endpoint);

        return new Proposal(
            $this->stage(),
            Spot::of($endpoint, "{$node->name} on {$link->name}", 'address'),
            "Address of {$node->name} on {$link->name}",
            $address?->value,
            $host,
            $makesIt ? 'It makes the network, so it is the first of it.' : 'The lowest that is free and that is not handed out.',
            [$address === null
                ? Operation::add(new Address($plan->newId('address', $endpoint->id, '0'), $endpoint->id, 0, $host))
                : Operation::change(ThingKind::Address, $address->id, ['value' => $host])],
        );
    }
}
