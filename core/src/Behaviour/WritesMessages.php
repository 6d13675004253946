<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;

/** A medium that turns what comes and goes at an end of it into messages and back, in C99 that includes nothing. */
interface WritesMessages
{
    /**
     * @param  int  $link  the node's number of the link
     * @param  string  $prefix  of the end's names in the node's header, in capitals
     * @return list<string> lines of C: static inline functions node_from_… and node_to_…
     */
    public function messageLines(Plan $plan, Endpoint $endpoint, int $link, string $prefix, MessageNumbers $numbers): array;
}
