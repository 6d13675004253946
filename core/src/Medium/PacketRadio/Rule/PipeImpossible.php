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
use Rundfunk\Medium\PacketRadio\PacketPipes;
use Rundfunk\Medium\PacketRadio\PacketRadio;
use Rundfunk\Plan\Address;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;

/** An address on a pipe that the receiver has not, or a second one on a pipe that has one. */
final readonly class PipeImpossible extends PacketRule implements LooksNearby
{
    public function key(): string
    {
        return 'packet-pipe-impossible';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->linksOver(PacketRadio::KEY) as $link) {
            foreach ($plan->endpointsOn($link) as $endpoint) {
                $first = [];
                foreach ($plan->addressesOf($endpoint) as $address) {
                    $node = $plan->node($endpoint->nodeId);
                    $where = "{$node->name} on {$link->name}, pipe {$address->pipe}";
                    if ($address->pipe >= PacketPipes::COUNT) {
                        yield $this->finding($address, $node, $where, "{$node->name} has no pipe {$address->pipe}", 'A receiver has the pipes 0 to '.(PacketPipes::COUNT - 1).'; nobody listens on this one.');
                    } elseif (isset($first[$address->pipe])) {
                        yield $this->finding($address, $node, $where, "Pipe {$address->pipe} of {$node->name} has two addresses", 'A pipe holds one address: the program that sets it last wins, and messages to the other are lost.');
                    }
                    $first[$address->pipe] = true;
                }
            }
        }
    }

    private function finding(Address $address, Node $node, string $where, string $title, string $detail): Finding
    {
        return new Finding(
            $this->key(),
            Severity::Fault,
            $title,
            Subject::of($address, $where, 'pipe'),
            ['pipe' => $address->pipe],
            $detail,
            'Remove it; Assign gives an address to every pipe that is needed.',
            new Fix("Remove the address of {$node->name}", Operation::remove($address::kind(), $address->id)),
        );
    }
}
