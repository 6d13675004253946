<?php

declare(strict_types=1);

namespace Rundfunk\Pins;

use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;

/** What each node of a plan still wants of its board, worked out once for all the rules that ask. */
final class PinNeeds
{
    /** @var array<string, LeftOver|null> by node */
    private array $leftOver = [];

    /** @var array<string, bool> by node */
    private array $met = [];

    public function __construct(private readonly Plan $plan, private readonly Catalogue $catalogue)
    {
    }

    /** Whether every terminal of the node has a pin that will do. */
    public function areMet(Node $node): bool
    {
        return $this->met[$node->id] ??= Demands::of($this->plan, $node, $this->catalogue)->met();
    }

    /** @return LeftOver|null null when there is a pin for everything, or no board */
    public function leftOver(Node $node): ?LeftOver
    {
        if (! array_key_exists($node->id, $this->leftOver)) {
            $this->leftOver[$node->id] = $this->areMet($node) ? null : LeftOver::on($this->plan, $node, $this->catalogue);
        }

        return $this->leftOver[$node->id];
    }
}
