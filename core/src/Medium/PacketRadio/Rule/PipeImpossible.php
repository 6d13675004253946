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
use Rundfunk\Plan\Address;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Spot;

/** An address on a pipe that the receiver has not, or a second one on a pipe that has one. */
#[Finds('packet-pipe-impossible', WorkStep::Links)]
final readonly class PipeImpossible implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $first = [];
        foreach ($look->plan->addressesOf($end->endpoint) as $address) {
            $where = "{$end->node->name} on {$end->link->name}, pipe {$address->pipe}";
            if ($address->pipe >= PacketPipes::COUNT) {
                yield $this->finding($address, $end->node, $where, "{$end->node->name} has no pipe {$address->pipe}", 'A receiver has the pipes 0 to '.(PacketPipes::COUNT - 1).'; nobody listens on this one.');
            } elseif (isset($first[$address->pipe])) {
                yield $this->finding($address, $end->node, $where, "Pipe {$address->pipe} of {$end->node->name} has two addresses", 'A pipe holds one address: the program that sets it last wins, and messages to the other are lost.');
            }
            $first[$address->pipe] = true;
        }
    }

    private function finding(Address $address, Node $node, string $where, string $title, string $detail): Finding
    {
        return Finding::fault(
            $title,
            Spot::of($address, $where, 'pipe'),
            $detail,
            'Remove it; Assign gives an address to every pipe that is needed.',
            Fix::remove("Remove the address of {$node->name}", $address),
            numbers: ['pipe' => $address->pipe],
        );
    }
}
