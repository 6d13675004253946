<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Check\HasRules;

/** Its rules, in the order in which their findings are listed. */
final readonly class DmxRules implements HasRules
{
    public function rules(): array
    {
        return [
            new Rule\Hazardous,
            new Rule\SenderMissing,
            new Rule\SendersTwo,
            new Rule\PriorityTied,
            new Rule\BarePin,
            new Rule\PartUnlike,
            new Rule\UsbMissing,
            new Rule\ClockUnfit,
            new Rule\BySoftware,
            new Rule\Sleeps,
            new Rule\TimingShort,
            new Rule\CableTooLong,
            new Rule\SenderBetween,
            new Rule\SegmentUnfed,
            new Rule\TerminatorsWrong,
            new Rule\TooManyLoads,
            new Rule\SlotsShort,
            new Rule\UniverseMissing,
            new Rule\UniverseShared,
            new Rule\TypeOdd,
            new Rule\Undescribed,
            new Rule\ModeUnknown,
            new Rule\AddressMissing,
            new Rule\BeyondUniverse,
            new Rule\SlotsOverlap,
            new Rule\SwitchesCannot,
            new Rule\SlotUnknown,
            new Rule\Cannot,
            new Rule\OneWay,
            new Rule\NothingShows,
            new Rule\ShutAtOnce,
            new Rule\FadeJumps,
            new Rule\FadeCoarse,
            new Rule\BridgeWords,
            new Rule\BridgeSlow,
            new Rule\LossHolds,
            new Rule\LossUnsaid,
            new Rule\Idle,
        ];
    }
}
