<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Behaviour\CSize;
use Rundfunk\Behaviour\LinkMemory;
use Rundfunk\Behaviour\Tabulation;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\NodeRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;

/** A behaviour that leaves its board too little memory for anything else. */
#[Finds('memory-short', WorkStep::Nodes)]
final readonly class MemoryShort implements NodeRule
{
    /** What the stack, the libraries and the drivers want of a small board, bytes. Common practice. */
    private const FOR_THE_REST = 700;

    public function check(Node $node, Look $look): iterable
    {
        $board = $look->board($node);
        // Larger boards hold any plan that a household makes.
        if ($board === null || $board->memoryKb > 16 || $node->kind->isBought()) {
            return [];
        }
        $all = 1_024 * $board->memoryKb;
        $lines = LinkMemory::of($look->plan, $node, $look->knowledge);
        if (self::atMost($look->plan, $node) + $lines + self::FOR_THE_REST <= $all) {
            return [];
        }
        $bytes = CSize::of(Tabulation::of($look->plan, $node, $look->knowledge))->memoryBytes() + $lines;
        if ($bytes + self::FOR_THE_REST <= $all) {
            return [];
        }

        return [Finding::warning(
            "What {$node->name} does leaves its board too little memory",
            Spot::of($node, $node->name, 'board'),
            "Its behaviour takes {$bytes} of {$all} bytes, and the stack, the libraries and the drivers want about ".self::FOR_THE_REST.' besides. A board that runs out of memory does not say so: it does something else.',
            'Take a board with more memory, or share the work between two.',
            numbers: ['bytes' => $bytes, 'board_bytes' => $all],
        )];
    }

    /** @return int bytes that a behaviour of so many things never passes, see {@see CSize}: most nodes are so far below that nothing need be worked out */
    private static function atMost(Plan $plan, Node $node): int
    {
        $told = array_sum(array_map(static fn (Endpoint $endpoint): int => count($plan->hopsFrom($endpoint)), $plan->endpointsOf($node)));

        return 104 + 40 * (count($plan->controlsOf($node)) + count($plan->outputsOf($node))) + 36 * max(1, $told);
    }
}
