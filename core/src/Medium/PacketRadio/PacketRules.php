<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio;

use Rundfunk\Check\HasRules;
use Rundfunk\Medium\PacketRadio\Rule\AcknowledgeWithoutCrc;
use Rundfunk\Medium\PacketRadio\Rule\AddressesTooAlike;
use Rundfunk\Medium\PacketRadio\Rule\AddressMalformed;
use Rundfunk\Medium\PacketRadio\Rule\BroadcastMisunderstood;
use Rundfunk\Medium\PacketRadio\Rule\ChannelOutsideBand;
use Rundfunk\Medium\PacketRadio\Rule\ChannelUnderWifi;
use Rundfunk\Medium\PacketRadio\Rule\EndsDisagree;
use Rundfunk\Medium\PacketRadio\Rule\LinksTooClose;
use Rundfunk\Medium\PacketRadio\Rule\OnlyPipe0;
use Rundfunk\Medium\PacketRadio\Rule\PayloadTooShort;
use Rundfunk\Medium\PacketRadio\Rule\PipeImpossible;
use Rundfunk\Medium\PacketRadio\Rule\PipePrefixBroken;
use Rundfunk\Medium\PacketRadio\Rule\PoorAddress;
use Rundfunk\Medium\PacketRadio\Rule\PowerOverLimit;
use Rundfunk\Medium\PacketRadio\Rule\RetryDelaysEqual;
use Rundfunk\Medium\PacketRadio\Rule\RetryDelayTooShort;
use Rundfunk\Medium\PacketRadio\Rule\SettingMissing;
use Rundfunk\Medium\PacketRadio\Rule\SharedAddress;
use Rundfunk\Medium\PacketRadio\Rule\StateOfOne;
use Rundfunk\Medium\PacketRadio\Rule\SticksApart;
use Rundfunk\Medium\PacketRadio\Rule\ToggleUnacknowledged;
use Rundfunk\Medium\PacketRadio\Rule\TooManySenders;
use Rundfunk\Medium\PacketRadio\Rule\Unproved;

/** Its rules, in the order in which their findings are listed. */
final readonly class PacketRules implements HasRules
{
    public function rules(): array
    {
        return [
            new EndsDisagree,
            new SettingMissing,
            new ChannelOutsideBand,
            new ChannelUnderWifi,
            new LinksTooClose,
            new PowerOverLimit,
            new AcknowledgeWithoutCrc,
            new Unproved,
            new PayloadTooShort,
            new AddressMalformed,
            new PoorAddress,
            new AddressesTooAlike,
            new SharedAddress,
            new BroadcastMisunderstood,
            new PipePrefixBroken,
            new PipeImpossible,
            new OnlyPipe0,
            new TooManySenders,
            new RetryDelayTooShort,
            new RetryDelaysEqual,
            new ToggleUnacknowledged,
            new SticksApart,
            new StateOfOne,
        ];
    }
}
