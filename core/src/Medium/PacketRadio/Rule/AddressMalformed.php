<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\PacketRadio\PacketAddress;
use Rundfunk\Medium\PacketRadio\PacketSettings;
use Rundfunk\Plan\Spot;

/** An address that is no address of the link's width. */
#[Finds('packet-address-malformed', WorkStep::Links)]
final readonly class AddressMalformed implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $width = PacketSettings::of($end->link)->addressBytes;
        foreach ($look->plan->addressesOf($end->endpoint) as $address) {
            if ($address->value === null || PacketAddress::tryParse($address->value)?->length() === $width) {
                continue;
            }
            $name = $end->node->name;
            yield Finding::fault(
                "{$address->value} is no {$width}-byte address",
                Spot::of($address, "{$name} on {$end->link->name}, pipe {$address->pipe}", 'value'),
                "{$end->link->name} uses addresses of {$width} bytes, that is ".(2 * $width).' hexadecimal digits.',
                'Write it in full, or clear it and Assign.',
                Fix::change('Clear it', $address, ['value' => null, 'pinned' => false]),
                numbers: ['address' => $address->value, 'address_bytes' => $width],
            );
        }
    }
}
