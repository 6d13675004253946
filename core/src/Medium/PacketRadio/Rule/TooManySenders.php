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
use Rundfunk\Medium\PacketRadio\PacketPipes;

/** Without a sender number in the message each sender needs a pipe of its own, and there are six. */
#[Finds('packet-too-many-senders', WorkStep::Links)]
final readonly class TooManySenders implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $needed = ! $end->endpoint->role->receives() ? 0 : PacketPipes::needed($look->plan, $end->endpoint);
        if ($needed <= PacketPipes::COUNT) {
            return [];
        }
        $name = $end->node->name;

        return [Finding::fault(
            "{$needed} senders for the six pipes of {$name}",
            $end->at(),
            "Messages on {$end->link->name} do not say who sent them, so {$name} needs a pipe for each sender. Sharing one as things are, equal packets of two senders are taken for a repeat and dropped.",
            'Put a sender number and a sequence number into the message; then any number of senders can share an address.',
            Fix::settings('Put the sender into the message', $end->link, ['senderId' => true]),
            numbers: ['senders' => $needed, 'pipes' => PacketPipes::COUNT],
        )];
    }
}
