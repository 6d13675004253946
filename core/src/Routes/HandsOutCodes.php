<?php

declare(strict_types=1);

namespace Rundfunk\Routes;

use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;

/** A medium whose messages begin with a command code that both ends agree on, one for each command. */
interface HandsOutCodes
{
    /** From where to where codes may be given to a hop; null when its code is not ours to give. */
    public function codes(Plan $plan, Hop $hop): ?CodeRange;
}
