<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Ip\IpEnds;
use Rundfunk\Medium\Ip\IpSettings;
use Rundfunk\Plan\Plan;

/** A fixed address that the router may give to somebody else. */
final readonly class AddressHandedOut extends IpRule implements LooksNearby
{
    public static function isHandedOut(IpSettings $settings, int $host): bool
    {
        return $host >= $settings->dhcpFrom && $host <= $settings->dhcpTo;
    }

    public function key(): string
    {
        return 'ip-address-handed-out';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (self::ends($plan) as ['link' => $link, 'settings' => $settings, 'endpoint' => $endpoint, 'node' => $node]) {
            $address = IpEnds::address($plan, $endpoint);
            $number = IpEnds::number($plan, $endpoint);
            if ($address === null || $number === null || $settings->subnet?->holds($number) !== true || ! self::isHandedOut($settings, $settings->subnet->hostNumber($number))) {
                continue;
            }
            yield new Finding(
                $this->key(),
                Severity::Warning,
                "{$address->value} is one that the router hands out",
                Subject::of($address, "{$node->name} on {$link->name}", 'value'),
                ['from' => $settings->dhcpFrom, 'to' => $settings->dhcpTo],
                'A guest\'s telephone gets it on the evening when everybody is there, and the node drops off.',
                'Take one outside the range, or reserve it in the router.',
                self::clearAddress($address),
            );
        }
    }
}
