<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Check\Rule;

/** What is found in what nodes do. */
final readonly class BehaviourRules
{
    /** @return list<Rule> in the order in which findings of one gravity are listed */
    public static function all(): array
    {
        return [
            new ComesOnUnasked,
            new HeldForEver,
            new NoOff,
            new TimerIdle,
            new ClockMissing,
            new PageMissing,
            new MiddleAtEnd,
            new MixElsewhere,
            new ScaleIncomplete,
            new PolledTooSlowly,
            new StreamCrowds,
            new CurveUnused,
            new SequenceEndless,
            new SequenceEmpty,
            new StepLost,
            new SequenceStartsItself,
            new SequenceRestless,
            new SequenceLeavesOn,
            new ReversesAtOnce,
            new StepsOverlap,
            new SilenceTooShort,
            new SilenceUnfed,
            new ToldOnceEnds,
            new FailureKeepsOn,
            new KeptOnBeyond,
            new ThresholdsCross,
            new HysteresisMissing,
            new ReadingUnjudged,
            new StateOfNothing,
            new StateSensedByNothing,
            new StateCircles,
            new StateBelievedForEver,
            new StateDoubtedAtOnce,
            new StateOnlyTold,
            new PulseTooShort,
            new MemoryShort,
            new RelayWears,
            new SequenceWears,
            new TimeComesTwice,
        ];
    }
}
