<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Ip\IpEnds;
use Rundfunk\Plan\Plan;

/** An address that is none, or none of the link's network. */
final readonly class AddressOutside extends IpRule implements LooksNearby
{
    public function key(): string
    {
        return 'ip-address-outside';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (self::ends($plan) as ['link' => $link, 'settings' => $settings, 'endpoint' => $endpoint, 'node' => $node]) {
            $address = IpEnds::address($plan, $endpoint);
            $number = IpEnds::number($plan, $endpoint);
            if ($address?->value === null || ($number !== null && $settings->subnet?->isHost($number) === true)) {
                continue;
            }
            yield new Finding(
                $this->key(),
                Severity::Fault,
                $number === null ? "{$address->value} is no address" : "{$address->value} is no host of {$settings->subnetText}",
                Subject::of($address, "{$node->name} on {$link->name}", 'value'),
                ['address' => $address->value, 'subnet' => $settings->subnetText],
                'Nothing on the network finds it there: silence, not an error, is what you would see.',
                "Take an address of {$settings->subnetText}, neither its first nor its last.",
                self::clearAddress($address),
            );
        }
    }
}
