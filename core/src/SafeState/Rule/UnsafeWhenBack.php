<?php

declare(strict_types=1);

namespace Rundfunk\SafeState\Rule;

use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Output;
use Rundfunk\SafeState\Phase;

/** Something that must be off or on, and is not when power comes back. */
#[Finds('unsafe-when-back', WorkStep::SafeStates)]
final readonly class UnsafeWhenBack implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        return Unsafe::in($look, $output, [Phase::SupplyBack], 'After a power cut nobody stands beside it.');
    }
}
