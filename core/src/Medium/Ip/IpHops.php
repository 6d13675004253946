<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip;

use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Timing\Span;
use Rundfunk\Timing\SpanKind;
use Rundfunk\Timing\TimesHops;

/** How long a hop takes. */
final readonly class IpHops implements TimesHops
{
    public function spans(Plan $plan, Hop $hop, int $turn): array
    {
        // Through the air to the broker and on again; at worst a lost packet waits for its time-out. Common practice.
        return [Span::between(SpanKind::Airtime, 'through the broker', 3_000_000, 20_000_000, 1_000_000_000)];
    }
}
