<?php

declare(strict_types=1);

namespace Rundfunk\Assign;

use Rundfunk\Plan\Plan;

/** All that Assign proposes, and the plan as it would be with all of it accepted. */
final readonly class Assignment
{
    /** @param  list<Proposal>  $proposals in the order in which they must be applied */
    public function __construct(public array $proposals, public Plan $plan)
    {
    }
}
