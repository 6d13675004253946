<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Ip\IpSettings;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** A Wi-Fi without a name: nobody finds it. */
#[Finds('ip-network-nameless', WorkStep::Links)]
final readonly class NetworkNameless implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        if (trim(IpSettings::of($link)->ssid) !== '') {
            return [];
        }
        foreach ($look->plan->endpointsOn($link) as $endpoint) {
            $node = $look->plan->node($endpoint->nodeId);
            // A wire needs no name; a phone knows the house's.
            if (! $node->kind->isBought() && $endpoint->moduleId === null) {
                return [Finding::fault(
                    "{$link->name} has no name on the air",
                    Spot::of($link, $link->name, 'ssid'),
                    "{$node->name} looks for a Wi-Fi by its name, letter for letter, and the name is empty: it never joins.",
                    'Type the name as the router has it, capitals too.',
                )];
            }
        }

        return [];
    }
}
