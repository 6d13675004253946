<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Knowledge;
use Rundfunk\Medium\PacketRadio\PacketAddress;
use Rundfunk\Medium\PacketRadio\PacketPipes;
use Rundfunk\Medium\PacketRadio\PacketRadio;
use Rundfunk\Medium\PacketRadio\PacketSettings;
use Rundfunk\Plan\Address;
use Rundfunk\Plan\Deliberate;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;
use Rundfunk\Plan\ThingKind;

/**
 * Addresses of receivers: one prefix for the link, drawn from its id so that two households do not get the same, and
 * last bytes that differ from one another in at least two bits.
 */
final readonly class AddressStep implements Step
{
    public function stage(): Stage
    {
        return Stage::Address;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        $live = self::sound($plan);
        $standing = self::standing($plan);
        foreach ($plan->linksOver(PacketRadio::KEY) as $link) {
            $length = PacketSettings::of($link)->addressBytes;
            foreach ($plan->endpointsOn($link) as $endpoint) {
                $prefix = self::prefixFor($plan, $link, $endpoint, $live);
                $needed = PacketPipes::needed($plan, $endpoint);
                // What the user put on pipe 0 for a broadcast is heard there: it wants no address of its own beside it.
                $served = $needed === 1 && $endpoint->means(Deliberate::Broadcast) && array_filter($plan->addressesOf($endpoint), static fn (Address $address): bool => $address->pipe === 0 && isset($live[$address->id])) !== [];
                foreach ($served ? [] : array_slice(PacketPipes::ORDER, 0, $needed) as $pipe) {
                    $existing = null;
                    foreach ($plan->addressesOf($endpoint) as $address) {
                        $existing = $address->pipe === $pipe ? $address : $existing;
                    }
                    if ($existing !== null && ($existing->pinned || isset($live[$existing->id]))) {
                        continue;
                    }
                    $chosen = self::choose($link, $length, $prefix, [...$live, ...$standing]);
                    $address = $existing ?? new Address($plan->newId('address', $endpoint->id, (string) $pipe), $endpoint->id, $pipe);
                    $live[$address->id] = $chosen;
                    $node = $plan->node($endpoint->nodeId);
                    yield new Proposal(
                        $this->stage(),
                        Spot::of($endpoint, "{$node->name} on {$link->name}", "pipe {$pipe}"),
                        "Address of {$node->name} on {$link->name}, pipe {$pipe}",
                        $existing?->value,
                        $chosen->spaced(),
                        "{$length} bytes with the link's own prefix; at least two bits from every other address, and no pattern that noise imitates.",
                        [$existing === null
                            ? Operation::add(new Address($address->id, $endpoint->id, $pipe, $chosen->hex))
                            : Operation::change(ThingKind::Address, $existing->id, ['value' => $chosen->hex])],
                    );
                }
            }
        }
    }

    /**
     * @return array<string, PacketAddress> by address id: those that can stay
     */
    private static function sound(Plan $plan): array
    {
        $addresses = $plan->addresses();
        usort($addresses, static fn (Address $a, Address $b): int => $b->pinned <=> $a->pinned);
        $sound = [];
        foreach ($addresses as $address) {
            $endpoint = $plan->endpoint($address->endpointId);
            $link = $plan->link($endpoint->linkId);
            $parsed = $link->medium === PacketRadio::KEY ? PacketAddress::tryParse($address->value) : null;
            if ($parsed === null || ($parsed->length() !== PacketSettings::of($link)->addressBytes && ! $address->pinned)) {
                continue;
            }
            $meant = $endpoint->means(Deliberate::Broadcast);
            $near = array_filter($sound, static fn (PacketAddress $other): bool => $parsed->distance($other) < ($meant && $parsed->hex === $other->hex ? 0 : 2));
            $fits = $address->pipe === 0 || self::sharesPrefix($plan, $endpoint, $address, $parsed, $sound);
            if ($address->pinned || ($parsed->weaknesses() === [] && $near === [] && $fits)) {
                $sound[$address->id] = $parsed;
            }
        }

        return $sound;
    }

    /** @return list<PacketAddress> those of pipes that nobody needs: whatever they are, they stay, and are heard */
    private static function standing(Plan $plan): array
    {
        $standing = [];
        foreach ($plan->linksOver(PacketRadio::KEY) as $link) {
            foreach ($plan->endpointsOn($link) as $endpoint) {
                $needed = array_slice(PacketPipes::ORDER, 0, PacketPipes::needed($plan, $endpoint));
                foreach ($plan->addressesOf($endpoint) as $address) {
                    $parsed = in_array($address->pipe, $needed, true) ? null : PacketAddress::tryParse($address->value);
                    if ($parsed !== null) {
                        $standing[] = $parsed;
                    }
                }
            }
        }

        return $standing;
    }

    /** @param  array<string, PacketAddress>  $sound */
    private static function sharesPrefix(Plan $plan, Endpoint $endpoint, Address $address, PacketAddress $parsed, array $sound): bool
    {
        foreach ($plan->addressesOf($endpoint) as $other) {
            if ($other->id !== $address->id && $other->pipe !== 0 && isset($sound[$other->id]) && $sound[$other->id]->prefix() !== $parsed->prefix()) {
                return false;
            }
        }

        return true;
    }

    /**
     * The prefix that this receiver's pipes have, or else the link's, or null when there is none yet.
     *
     * @param  array<string, PacketAddress>  $live
     */
    private static function prefixFor(Plan $plan, Link $link, Endpoint $endpoint, array $live): ?string
    {
        foreach ([$endpoint, ...$plan->endpointsOn($link)] as $end) {
            foreach ($plan->addressesOf($end) as $address) {
                $found = $live[$address->id] ?? null;
                if ($found !== null && ($end->id !== $endpoint->id || $address->pipe !== 0) && $found->length() === PacketSettings::of($link)->addressBytes) {
                    return $found->prefix();
                }
            }
        }

        return null;
    }

    /** @param  array<array-key, PacketAddress>  $live */
    private static function choose(Link $link, int $length, ?string $prefix, array $live): PacketAddress
    {
        for ($attempt = 0; ; $attempt++) {
            $hash = strtoupper(hash('sha256', "address {$link->id} {$attempt}"));
            $start = $prefix !== null && $attempt === 0 ? $prefix : substr($hash, 0, 2 * ($length - 1));
            for ($last = 1; $last <= 254; $last++) {
                $candidate = PacketAddress::parse($start.sprintf('%02X', $last));
                if ($candidate->weaknesses() === [] && self::farFrom($candidate, $live)) {
                    return $candidate;
                }
            }
        }
    }

    /** @param  array<array-key, PacketAddress>  $live */
    private static function farFrom(PacketAddress $candidate, array $live): bool
    {
        foreach ($live as $other) {
            if ($candidate->distance($other) < 2) {
                return false;
            }
        }

        return true;
    }
}
