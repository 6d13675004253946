<?php

declare(strict_types=1);

namespace Rundfunk\SafeState\Rule;

use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Output;
use Rundfunk\SafeState\Phase;

/** Something that must be off or on, and is not while its board starts. */
#[Finds('unsafe-at-start', WorkStep::SafeStates)]
final readonly class UnsafeAtStart implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        return Unsafe::in($look, $output, [Phase::Reset, Phase::Flashing, Phase::Initial], 'It happens at each power-up and reset, and whenever the board is programmed or its console opened.');
    }
}
