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

/** An address that is none, or none of the link's network. */
#[Finds('ip-address-outside', WorkStep::Links)]
final readonly class AddressOutside implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $settings = IpSettings::of($end->link);
        $address = IpEnds::address($look->plan, $end->endpoint);
        $number = IpEnds::number($look->plan, $end->endpoint);
        if ($address?->value === null || ($number !== null && $settings->subnet?->isHost($number) === true)) {
            return [];
        }

        return [Finding::fault(
            $number === null ? "{$address->value} is no address" : "{$address->value} is no host of {$settings->subnetText}",
            Spot::of($address, $end->where(), 'value'),
            'Nothing on the network finds it there: silence, not an error, is what you would see.',
            "Take an address of {$settings->subnetText}, neither its first nor its last.",
            Fix::change('Clear it, for Assign to choose', $address, ['value' => null, 'pinned' => false]),
            numbers: ['address' => $address->value, 'subnet' => $settings->subnetText],
        )];
    }
}
