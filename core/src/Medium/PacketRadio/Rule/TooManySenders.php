<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Medium\PacketRadio\PacketPipes;
use Rundfunk\Medium\PacketRadio\PacketRadio;
use Rundfunk\Plan\Plan;

/** Without a sender number in the message each sender needs a pipe of its own, and there are six. */
final readonly class TooManySenders extends PacketRule implements LooksNearby
{
    public function key(): string
    {
        return 'packet-too-many-senders';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->linksOver(PacketRadio::KEY) as $link) {
            foreach (self::receivers($plan, $link) as $receiver) {
                $needed = PacketPipes::needed($plan, $receiver);
                if ($needed <= PacketPipes::COUNT) {
                    continue;
                }
                $name = $plan->node($receiver->nodeId)->name;
                yield new Finding(
                    $this->key(),
                    Severity::Fault,
                    "{$needed} senders for the six pipes of {$name}",
                    Subject::of($receiver, "{$name} on {$link->name}"),
                    ['senders' => $needed, 'pipes' => PacketPipes::COUNT],
                    "Messages on {$link->name} do not say who sent them, so {$name} needs a pipe for each sender. Sharing one as things are, equal packets of two senders are taken for a repeat and dropped.",
                    'Put a sender number and a sequence number into the message; then any number of senders can share an address.',
                    self::setLink($link, 'Put the sender into the message', ['senderId' => true]),
                );
            }
        }
    }
}
