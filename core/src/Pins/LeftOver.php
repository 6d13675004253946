<?php

declare(strict_types=1);

namespace Rundfunk\Pins;

use Rundfunk\Catalogue\Board;
use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;

/** What a node's board has no pin for, even when everything that may move is moved. */
final readonly class LeftOver
{
    /** @param  non-empty-list<Demand>  $demands */
    private function __construct(public Board $board, public array $demands, public PinPlan $all)
    {
    }

    /** @return self|null null when there is a pin for everything, or no board */
    public static function on(Plan $plan, Node $node, Catalogue $catalogue): ?self
    {
        $board = $catalogue->boardOf($node);
        if ($board === null) {
            return null;
        }
        $planned = (new PinPlanner($catalogue))->plan($plan, $node);
        $unplaced = $planned === null ? [] : $planned->unplaced;

        return $planned === null || $unplaced === [] ? null : new self($board, $unplaced, $planned);
    }
}
