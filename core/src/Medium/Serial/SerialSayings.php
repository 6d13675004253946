<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Behaviour\SaysWhoIsGone;
use Rundfunk\Behaviour\TellsMessagesApart;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Routes\CodeRange;
use Rundfunk\Routes\HandsOutCodes;

/** What goes over the line for a command. */
final readonly class SerialSayings implements HandsOutCodes, SaysWhoIsGone, TellsMessagesApart
{
    /** 0 says nothing and 255 begins anew, see {@see SerialFrame}. */
    public function codes(Plan $plan, Hop $hop): CodeRange
    {
        return new CodeRange(0x01, 0xFE, $hop->toId);
    }

    public function mark(Plan $plan, Hop $hop): ?string
    {
        return $hop->code === null ? null : (string) $hop->code;
    }

    /** Whoever tells or asks, and is not answered. */
    public function noticesGone(Plan $plan, Endpoint $endpoint): bool
    {
        $line = SerialLine::of($plan, $plan->link($endpoint->linkId));

        return $line->isComplete() && ($line->settings->topology !== Topology::Polled || $line->asker()?->id === $endpoint->id);
    }

    public function showsSender(Plan $plan, Hop $hop): bool
    {
        return true;
    }
}
