<?php

declare(strict_types=1);

namespace Rundfunk\Check\Rule;

use Rundfunk\Catalogue\Board;
use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Pins\Demand;
use Rundfunk\Pins\Demands;
use Rundfunk\Pins\PinPlan;
use Rundfunk\Pins\PinPlanner;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;

/** Demands for which a node has no pin, even when everything that may move is moved. */
final readonly class LeftOver
{
    /** @return iterable<array{node: Node, board: Board, demand: Demand, all: PinPlan}> */
    public static function of(Plan $plan, Catalogue $catalogue): iterable
    {
        foreach ($plan->nodes() as $node) {
            $board = $catalogue->boardOf($node);
            if ($board === null || Demands::of($plan, $node, $catalogue)->met()) {
                continue;
            }
            $planned = (new PinPlanner($catalogue))->plan($plan, $node);
            if ($planned === null) {
                continue;
            }
            foreach ($planned->unplaced as $demand) {
                yield ['node' => $node, 'board' => $board, 'demand' => $demand, 'all' => $planned];
            }
        }
    }
}
