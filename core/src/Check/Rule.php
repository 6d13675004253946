<?php

declare(strict_types=1);

namespace Rundfunk\Check;

use Rundfunk\Knowledge;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

/** One thing that can be wrong with a plan. A class a rule; the list of them is in {@see Rules}. */
interface Rule
{
    /** As findings name it. */
    public function key(): string;

    /** @return list<ThingKind> what it looks at: an edit of anything else cannot change what it finds */
    public function reads(): array;

    /** @return iterable<Finding> */
    public function check(Plan $plan, Knowledge $knowledge): iterable;
}
