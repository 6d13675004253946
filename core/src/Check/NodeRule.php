<?php

declare(strict_types=1);

namespace Rundfunk\Check;

use Rundfunk\Plan\Node;

/** Judges a node with all that is on it, and what its links and routes join it to. */
interface NodeRule extends Rule
{
    /** @return iterable<Finding> */
    public function check(Node $node, Look $look): iterable;
}
