<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Timing\TimesHops;

/** How long a hop takes. */
final readonly class IrHops implements TimesHops
{
    public function __construct(private Protocols $protocols)
    {
    }

    public function spans(Plan $plan, Hop $hop, int $turn): array
    {
        return IrTiming::spans($plan, $hop, $turn, $this->protocols);
    }
}
