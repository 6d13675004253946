<?php

declare(strict_types=1);

namespace Rundfunk\Build;

use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;

interface DescribesEnds
{
    /** @return list<Define> what the program of a node must know of this end of the link */
    public function defines(Plan $plan, Endpoint $endpoint): array;
}
