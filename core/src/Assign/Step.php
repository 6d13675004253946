<?php

declare(strict_types=1);

namespace Rundfunk\Assign;

use Rundfunk\Knowledge;
use Rundfunk\Plan\Plan;

/** One thing that Assign hands out. */
interface Step
{
    public function stage(): Stage;

    /**
     * @param  Plan  $plan  with everything that earlier stages propose already in it
     * @return iterable<Proposal>
     */
    public function propose(Plan $plan, Knowledge $knowledge): iterable;
}
