<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Behaviour\TellsMessagesApart;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Routes\CodeRange;
use Rundfunk\Routes\HandsOutCodes;

/** What goes over the line for a command. */
final readonly class SerialSayings implements HandsOutCodes, TellsMessagesApart
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

    public function showsSender(Plan $plan, Hop $hop): bool
    {
        return true;
    }
}
