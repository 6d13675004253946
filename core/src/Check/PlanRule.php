<?php

declare(strict_types=1);

namespace Rundfunk\Check;

/** Compares across the whole plan. It runs after every edit, so it looks things up by key rather than each against each. */
interface PlanRule extends Rule
{
    /** @return iterable<Finding> */
    public function check(Look $look): iterable;
}
