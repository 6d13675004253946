<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Shape\ListOf;

/** A link that a node is on. Nodes on it go by their number: their place among its ends, from 1. */
final readonly class LinkEnds
{
    /**
     * @param  int  $own  this node's number
     * @param  list<string>  $nodes  the names of the nodes on it, in the order of their numbers
     * @param  bool  $saysGone  it says when one of them does not answer any more, by the code 65535
     */
    public function __construct(
        public string $name,
        public string $medium,
        public int $own,
        #[ListOf('string')] public array $nodes,
        public bool $saysGone = false,
    ) {
    }
}
