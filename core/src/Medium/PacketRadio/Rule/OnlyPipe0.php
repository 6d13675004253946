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
use Rundfunk\Medium\PacketRadio\PacketSettings;
use Rundfunk\Plan\Spot;

/** A node that sends and is acknowledged, and listens on nothing but the pipe that acknowledges come back on. */
#[Finds('packet-only-pipe-0', WorkStep::Links)]
final readonly class OnlyPipe0 implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $addresses = $look->plan->addressesOf($end->endpoint);
        $pipes = array_map(static fn ($address): int => $address->pipe, $addresses);
        if ($pipes !== [0] || ! $end->endpoint->role->receives() || $look->plan->hopsFrom($end->endpoint) === [] || ! PacketSettings::of($end->link)->acknowledge) {
            return [];
        }
        [$address] = $addresses;

        return [Finding::warning(
            "{$end->node->name} listens with the ear that it sends with",
            Spot::of($address, $end->where(), 'pipe'),
            'With acknowledge on, a sender puts the receiver\'s address on its own pipe 0 to hear the answer. From the first message on it no longer listens on its own, unless the program puts that back each time.',
            'Listen on pipe 1, which nothing overwrites.',
            Fix::change('Listen on pipe 1', $address, ['pipe' => 1]),
            numbers: ['pipe' => 0],
        )];
    }
}
