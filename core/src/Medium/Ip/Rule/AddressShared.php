<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Ip\IpEnds;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

#[Finds('ip-address-shared', WorkStep::Links)]
final readonly class AddressShared implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $first = [];
        foreach ($look->plan->endpointsOn($link) as $endpoint) {
            $address = IpEnds::address($look->plan, $endpoint);
            $number = IpEnds::number($look->plan, $endpoint);
            $end = $look->end($endpoint);
            $other = $number === null ? $end : $first[$number] ??= $end;
            if ($other === $end || $address === null) {
                continue;
            }
            yield Finding::fault(
                "{$other->node->name} and {$end->node->name} have one address",
                Spot::of($address, $end->where(), 'value'),
                'Now the one answers and now the other; each looks as if it came and went.',
                'Give each its own.',
                $address->pinned ? null : Fix::change('Clear it, for Assign to choose', $address, ['value' => null, 'pinned' => false]),
                numbers: ['address' => (string) $address->value],
                about: [$other->endpoint->id, $endpoint->id],
            );
        }
    }
}
