<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Check\HasRules;
use Rundfunk\Medium\Serial\Rule\AnswersCollide;
use Rundfunk\Medium\Serial\Rule\AskerMissing;
use Rundfunk\Medium\Serial\Rule\BackFeed;
use Rundfunk\Medium\Serial\Rule\BiasMissing;
use Rundfunk\Medium\Serial\Rule\BoughtLevelUnknown;
use Rundfunk\Medium\Serial\Rule\BoughtMixed;
use Rundfunk\Medium\Serial\Rule\BoughtUnspoken;
use Rundfunk\Medium\Serial\Rule\BroadcastMisunderstood;
use Rundfunk\Medium\Serial\Rule\BroadcastUnanswered;
use Rundfunk\Medium\Serial\Rule\ClocksApart;
use Rundfunk\Medium\Serial\Rule\CycleSlow;
use Rundfunk\Medium\Serial\Rule\DoneUnfelt;
use Rundfunk\Medium\Serial\Rule\DoneUnknown;
use Rundfunk\Medium\Serial\Rule\EchoTaken;
use Rundfunk\Medium\Serial\Rule\EndsDisagree;
use Rundfunk\Medium\Serial\Rule\EndsUnfit;
use Rundfunk\Medium\Serial\Rule\FramedApart;
use Rundfunk\Medium\Serial\Rule\FunctionCannot;
use Rundfunk\Medium\Serial\Rule\FunctionMissing;
use Rundfunk\Medium\Serial\Rule\LengthDiffers;
use Rundfunk\Medium\Serial\Rule\LengthUnknown;
use Rundfunk\Medium\Serial\Rule\LevelTooHigh;
use Rundfunk\Medium\Serial\Rule\LevelTooLow;
use Rundfunk\Medium\Serial\Rule\LineTooLong;
use Rundfunk\Medium\Serial\Rule\LowTooHigh;
use Rundfunk\Medium\Serial\Rule\NetworkDiffers;
use Rundfunk\Medium\Serial\Rule\NobodyAnswers;
use Rundfunk\Medium\Serial\Rule\NotIsolated;
use Rundfunk\Medium\Serial\Rule\OneWay;
use Rundfunk\Medium\Serial\Rule\PartTooSlow;
use Rundfunk\Medium\Serial\Rule\PartUnfit;
use Rundfunk\Medium\Serial\Rule\ProtocolBroken;
use Rundfunk\Medium\Serial\Rule\ReadingMissing;
use Rundfunk\Medium\Serial\Rule\ReadingsCrowd;
use Rundfunk\Medium\Serial\Rule\RingOpens;
use Rundfunk\Medium\Serial\Rule\SaysUnasked;
use Rundfunk\Medium\Serial\Rule\Sleeps;
use Rundfunk\Medium\Serial\Rule\SoftwareTooFast;
use Rundfunk\Medium\Serial\Rule\StationImpossible;
use Rundfunk\Medium\Serial\Rule\StationMissing;
use Rundfunk\Medium\Serial\Rule\StationShared;
use Rundfunk\Medium\Serial\Rule\TerminatorsWrong;
use Rundfunk\Medium\Serial\Rule\TimeoutShort;
use Rundfunk\Medium\Serial\Rule\ToggleWhileMoving;
use Rundfunk\Medium\Serial\Rule\TooManyLoads;
use Rundfunk\Medium\Serial\Rule\Unchecked;
use Rundfunk\Medium\Serial\Rule\ValueBeyond;

/** Its rules, in the order in which their findings are listed. */
final readonly class SerialRules implements HasRules
{
    public function rules(): array
    {
        return [
            new EndsDisagree,
            new EndsUnfit,
            new BoughtUnspoken,
            new BoughtMixed,
            new FramedApart,
            new ProtocolBroken,
            new FunctionMissing,
            new ReadingMissing,
            new FunctionCannot,
            new ValueBeyond,
            new DoneUnknown,
            new DoneUnfelt,
            new NobodyAnswers,
            new ReadingsCrowd,
            new EchoTaken,
            new SaysUnasked,
            new AskerMissing,
            new OneWay,
            new StationMissing,
            new StationShared,
            new StationImpossible,
            new PartUnfit,
            new ClocksApart,
            new SoftwareTooFast,
            new PartTooSlow,
            new LineTooLong,
            new LengthUnknown,
            new LengthDiffers,
            new AnswersCollide,
            new NetworkDiffers,
            new TerminatorsWrong,
            new BiasMissing,
            new TooManyLoads,
            new NotIsolated,
            new BoughtLevelUnknown,
            new LevelTooHigh,
            new LevelTooLow,
            new LowTooHigh,
            new BackFeed,
            new TimeoutShort,
            new CycleSlow,
            new RingOpens,
            new Sleeps,
            new Unchecked,
            new ToggleWhileMoving,
            new BroadcastMisunderstood,
            new BroadcastUnanswered,
        ];
    }
}
