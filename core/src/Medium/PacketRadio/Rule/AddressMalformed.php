<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Edit\Operation;
use Rundfunk\Knowledge;
use Rundfunk\Medium\PacketRadio\PacketAddress;
use Rundfunk\Medium\PacketRadio\PacketRadio;
use Rundfunk\Medium\PacketRadio\PacketSettings;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

/** An address that is no address of the link's width. */
final readonly class AddressMalformed extends PacketRule implements LooksNearby
{
    public function key(): string
    {
        return 'packet-address-malformed';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->linksOver(PacketRadio::KEY) as $link) {
            $width = PacketSettings::of($link)->addressBytes;
            foreach ($plan->endpointsOn($link) as $endpoint) {
                foreach ($plan->addressesOf($endpoint) as $address) {
                    if ($address->value === null || PacketAddress::tryParse($address->value)?->length() === $width) {
                        continue;
                    }
                    $name = $plan->node($endpoint->nodeId)->name;
                    yield new Finding(
                        $this->key(),
                        Severity::Fault,
                        "{$address->value} is no {$width}-byte address",
                        Subject::of($address, "{$name} on {$link->name}, pipe {$address->pipe}", 'value'),
                        ['address' => $address->value, 'address_bytes' => $width],
                        "{$link->name} uses addresses of {$width} bytes, that is ".(2 * $width).' hexadecimal digits.',
                        'Write it in full, or clear it and Assign.',
                        new Fix('Clear it', Operation::change(ThingKind::Address, $address->id, ['value' => null, 'pinned' => false])),
                    );
                }
            }
        }
    }
}
