<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Check\HasRules;
use Rundfunk\Medium\Serial\Rule\AnswersCollide;
use Rundfunk\Medium\Serial\Rule\AskerMissing;
use Rundfunk\Medium\Serial\Rule\BackFeed;
use Rundfunk\Medium\Serial\Rule\BiasMissing;
use Rundfunk\Medium\Serial\Rule\BoughtUnspoken;
use Rundfunk\Medium\Serial\Rule\BroadcastMisunderstood;
use Rundfunk\Medium\Serial\Rule\BroadcastUnanswered;
use Rundfunk\Medium\Serial\Rule\ClocksApart;
use Rundfunk\Medium\Serial\Rule\CycleSlow;
use Rundfunk\Medium\Serial\Rule\EndsDisagree;
use Rundfunk\Medium\Serial\Rule\EndsUnfit;
use Rundfunk\Medium\Serial\Rule\LengthDiffers;
use Rundfunk\Medium\Serial\Rule\LengthUnknown;
use Rundfunk\Medium\Serial\Rule\LevelTooHigh;
use Rundfunk\Medium\Serial\Rule\LevelTooLow;
use Rundfunk\Medium\Serial\Rule\LineTooLong;
use Rundfunk\Medium\Serial\Rule\LowTooHigh;
use Rundfunk\Medium\Serial\Rule\NotIsolated;
use Rundfunk\Medium\Serial\Rule\OneWay;
use Rundfunk\Medium\Serial\Rule\PartTooSlow;
use Rundfunk\Medium\Serial\Rule\PartUnfit;
use Rundfunk\Medium\Serial\Rule\RingOpens;
use Rundfunk\Medium\Serial\Rule\SoftwareTooFast;
use Rundfunk\Medium\Serial\Rule\StationImpossible;
use Rundfunk\Medium\Serial\Rule\StationMissing;
use Rundfunk\Medium\Serial\Rule\StationShared;
use Rundfunk\Medium\Serial\Rule\TerminatorsWrong;
use Rundfunk\Medium\Serial\Rule\TimeoutShort;
use Rundfunk\Medium\Serial\Rule\ToggleWhileMoving;
use Rundfunk\Medium\Serial\Rule\TooManyLoads;
use Rundfunk\Medium\Serial\Rule\Unchecked;

/** Its rules, in the order in which their findings are listed. */
final readonly class SerialRules implements HasRules
{
    public function rules(): array
    {
        return [
            new EndsDisagree,
            new EndsUnfit,
            new BoughtUnspoken,
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
            new TerminatorsWrong,
            new BiasMissing,
            new TooManyLoads,
            new NotIsolated,
            new LevelTooHigh,
            new LevelTooLow,
            new LowTooHigh,
            new BackFeed,
            new TimeoutShort,
            new CycleSlow,
            new RingOpens,
            new Unchecked,
            new ToggleWhileMoving,
            new BroadcastMisunderstood,
            new BroadcastUnanswered,
        ];
    }
}
