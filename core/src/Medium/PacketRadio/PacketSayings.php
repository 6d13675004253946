<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio;

use Rundfunk\Behaviour\CarriesLetGo;
use Rundfunk\Behaviour\TellsMessagesApart;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Routes\CodeRange;
use Rundfunk\Routes\HandsOutCodes;

/** What goes over the link for a command. */
final readonly class PacketSayings implements CarriesLetGo, HandsOutCodes, TellsMessagesApart
{
    /** 0x00 and 0xFF are left out, for they are what blank memory and a dead line read as. Common practice. */
    public function codes(Plan $plan, Hop $hop): CodeRange
    {
        return new CodeRange(0x01, 0xFE, $hop->toId);
    }

    /** Each has a code of ours. */
    public function mark(Plan $plan, Hop $hop): ?string
    {
        return $hop->code === null ? null : (string) $hop->code;
    }

    public function showsSender(Plan $plan, Hop $hop): bool
    {
        return PacketSettings::of($plan->link($hop->linkId))->senderId;
    }
}
