<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio;

use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Timing\TimesHops;

/** How long a hop takes. */
final readonly class PacketHops implements TimesHops
{
    public function spans(Plan $plan, Hop $hop, int $turn): array
    {
        return PacketExchange::of($plan, $hop)->spans($turn);
    }
}
