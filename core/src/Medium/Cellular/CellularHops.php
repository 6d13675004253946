<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular;

use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Timing\TimesHops;

/** How long a hop takes. */
final readonly class CellularHops implements TimesHops
{
    public function spans(Plan $plan, Hop $hop, int $turn): array
    {
        return CellularTiming::spans($plan, $hop, $turn);
    }
}
