<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Ip\IpEnds;
use Rundfunk\Medium\Ip\IpSettings;
use Rundfunk\Plan\Spot;

/** A fixed address that the router may give to somebody else. */
#[Finds('ip-address-handed-out', WorkStep::Links)]
final readonly class AddressHandedOut implements EndRule
{
    public static function isHandedOut(IpSettings $settings, int $host): bool
    {
        return $host >= $settings->dhcpFrom && $host <= $settings->dhcpTo;
    }

    public function check(End $end, Look $look): iterable
    {
        $settings = IpSettings::of($end->link);
        $address = IpEnds::address($look->plan, $end->endpoint);
        $number = IpEnds::number($look->plan, $end->endpoint);
        if ($address === null || $number === null || $settings->subnet?->holds($number) !== true || ! self::isHandedOut($settings, $settings->subnet->hostNumber($number))) {
            return [];
        }

        return [Finding::warning(
            "{$address->value} is one that the {$settings->handsOut()} hands out",
            Spot::of($address, $end->where(), 'value'),
            'A guest\'s telephone gets it on the evening when everybody is there, and the node drops off.',
            'Take one outside the range'.($settings->ownAccessPoint ? '.' : ', or reserve it in the router.'),
            Fix::change('Clear it, for Assign to choose', $address, ['value' => null, 'pinned' => false]),
            numbers: ['from' => $settings->dhcpFrom, 'to' => $settings->dhcpTo],
        )];
    }
}
