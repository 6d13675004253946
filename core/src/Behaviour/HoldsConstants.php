<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Knowledge;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;

/** A medium whose end of a link brings tables into the node's header that never change: on an 8-bit board they lie in memory all the same. */
interface HoldsConstants
{
    /** @return int bytes on an 8-bit board */
    public function constantBytes(Plan $plan, Endpoint $endpoint, Knowledge $knowledge): int;
}
