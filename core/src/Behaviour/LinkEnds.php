<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Behaviour\Whole\StatedFrame;
use Rundfunk\Shape\ListOf;

/** A link that a node is on. Nodes on it go by their number: their place among its ends, from 1. */
final readonly class LinkEnds
{
    /**
     * @param  int  $own  this node's number
     * @param  list<string>  $nodes  the names of the nodes on it, in the order of their numbers
     * @param  bool  $saysGone  it says when one of them does not answer any more, by the code 65535
     * @param  list<StatedFrame>  $frames  where a frame says how all of its sender stands: of each sender, which bits say what
     */
    public function __construct(
        public string $name,
        public string $medium,
        public int $own,
        #[ListOf('string')] public array $nodes,
        public bool $saysGone = false,
        #[ListOf(StatedFrame::class)] public array $frames = [],
    ) {
    }
}
