<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Behaviour\Whole\StatedFrame;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;

/** A medium whose message can say how all of its sender stands: then what is told to one node at one time goes out once. */
interface SaysAllAtOnce
{
    public function saysAll(Link $link): bool;

    /** @return list<StatedFrame> of each sender of such a link, which bits say what */
    public function statedFrames(Plan $plan, Link $link): array;
}
