<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Behaviour\Whole\StatedFrame;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;

/** A medium whose message can say how all of its sender stands: then what is told to one node at one time goes out once. */
interface SaysAllAtOnce
{
    public function saysAll(Link $link): bool;

    /**
     * @param  string  $prefix  of the end's names in the node's header, in capitals
     * @return list<string> what a program does about it, line by line, as it may stand in a comment
     */
    public function glue(Plan $plan, Endpoint $endpoint, string $prefix): array;

    /** @return list<StatedFrame> of each sender of such a link, which bits say what */
    public function statedFrames(Plan $plan, Link $link): array;
}
