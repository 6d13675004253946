<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

use Rundfunk\Check\HasRules;
use Rundfunk\Medium\Can\Rule\BusTooLong;
use Rundfunk\Medium\Can\Rule\FiltersLeak;
use Rundfunk\Medium\Can\Rule\ForeignNotSilent;
use Rundfunk\Medium\Can\Rule\ForeignTold;
use Rundfunk\Medium\Can\Rule\FunctionCannot;
use Rundfunk\Medium\Can\Rule\FunctionUnknown;
use Rundfunk\Medium\Can\Rule\IdentifierImpossible;
use Rundfunk\Medium\Can\Rule\IdentifierMissing;
use Rundfunk\Medium\Can\Rule\IdentifierShared;
use Rundfunk\Medium\Can\Rule\LengthDiffers;
use Rundfunk\Medium\Can\Rule\LengthUnknown;
use Rundfunk\Medium\Can\Rule\ListenerTells;
use Rundfunk\Medium\Can\Rule\LoadHigh;
use Rundfunk\Medium\Can\Rule\MessageLate;
use Rundfunk\Medium\Can\Rule\NobodyAcknowledges;
use Rundfunk\Medium\Can\Rule\RateUnreachable;
use Rundfunk\Medium\Can\Rule\ReadingUnknown;
use Rundfunk\Medium\Can\Rule\SignalOutside;
use Rundfunk\Medium\Can\Rule\SignalsOverlap;
use Rundfunk\Medium\Can\Rule\SignalTooLong;
use Rundfunk\Medium\Can\Rule\SignalTwice;
use Rundfunk\Medium\Can\Rule\SilenceUnseen;
use Rundfunk\Medium\Can\Rule\StubTooLong;
use Rundfunk\Medium\Can\Rule\TerminatorOnForeign;
use Rundfunk\Medium\Can\Rule\TerminatorsWrong;
use Rundfunk\Medium\Can\Rule\TerminatorUnlike;
use Rundfunk\Medium\Can\Rule\ThresholdBeyond;
use Rundfunk\Medium\Can\Rule\ValueBeyond;

/** Its rules, in the order in which their findings are listed. */
final readonly class CanRules implements HasRules
{
    public function rules(): array
    {
        return [
            new RateUnreachable,
            new BusTooLong,
            new LengthUnknown,
            new LengthDiffers,
            new StubTooLong,
            new TerminatorsWrong,
            new TerminatorOnForeign,
            new TerminatorUnlike,
            new ForeignNotSilent,
            new ForeignTold,
            new ListenerTells,
            new NobodyAcknowledges,
            new IdentifierMissing,
            new IdentifierImpossible,
            new IdentifierShared,
            new LoadHigh,
            new MessageLate,
            new SignalOutside,
            new SignalsOverlap,
            new SignalTwice,
            new ReadingUnknown,
            new FunctionUnknown,
            new FunctionCannot,
            new SilenceUnseen,
            new ThresholdBeyond,
            new ValueBeyond,
            new SignalTooLong,
            new FiltersLeak,
        ];
    }
}
