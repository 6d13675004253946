<?php

declare(strict_types=1);

namespace Rundfunk\SafeState\Rule;

use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Output;
use Rundfunk\SafeState\Phase;

/** Something that must be off or on, and stays as it was when its program hangs. */
#[Finds('unsafe-when-hung', WorkStep::SafeStates)]
final readonly class UnsafeWhenHung implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        return Unsafe::in($look, $output, [Phase::Hung], 'A program hangs by a fault of its own, a spike or a library that waits for ever; both levels were tried.');
    }
}
