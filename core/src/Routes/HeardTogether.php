<?php

declare(strict_types=1);

namespace Rundfunk\Routes;

use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;

/** A medium on which one message can be meant for several receivers at once. */
interface HeardTogether
{
    /** @return non-empty-list<Endpoint> all that hear what is sent to an end, in the order of the link; that end alone, as a rule */
    public function hearers(Plan $plan, Endpoint $to): array;
}
