<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip\Rule;

use Rundfunk\Check\Fix;
use Rundfunk\Check\Rule;
use Rundfunk\Edit\Operation;
use Rundfunk\Medium\Ip\Ip;
use Rundfunk\Medium\Ip\IpSettings;
use Rundfunk\Plan\Address;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

/** What every rule of IP looks at, and how it tells of a link or an end. */
abstract readonly class IpRule implements Rule
{
    public function reads(): array
    {
        return [ThingKind::Node, ThingKind::Link, ThingKind::Endpoint, ThingKind::Address, ThingKind::Control, ThingKind::Output, ThingKind::Route, ThingKind::Hop];
    }

    /** @return list<array{link: Link, settings: IpSettings}> */
    protected static function links(Plan $plan): array
    {
        return array_map(static fn (Link $link): array => ['link' => $link, 'settings' => IpSettings::of($link)], $plan->linksOver(Ip::KEY));
    }

    /** @return list<array{link: Link, settings: IpSettings, endpoint: Endpoint, node: Node}> */
    protected static function ends(Plan $plan): array
    {
        $found = [];
        foreach (self::links($plan) as ['link' => $link, 'settings' => $settings]) {
            foreach ($plan->endpointsOn($link) as $endpoint) {
                $found[] = ['link' => $link, 'settings' => $settings, 'endpoint' => $endpoint, 'node' => $plan->node($endpoint->nodeId)];
            }
        }

        return $found;
    }

    /** @param  array<string, mixed>  $values */
    protected static function setLink(Link $link, string $label, array $values): Fix
    {
        return new Fix($label, Operation::change(ThingKind::Link, $link->id, ['settings' => $values]));
    }

    protected static function clearAddress(Address $address): Fix
    {
        return new Fix('Clear it, for Assign to choose', Operation::change(ThingKind::Address, $address->id, ['value' => null, 'pinned' => false]));
    }
}
