<?php

declare(strict_types=1);

namespace Rundfunk\SafeState\Rule;

use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Output;
use Rundfunk\SafeState\Phase;

/** Something that must be off or on, and stays as it was when its link is lost. */
#[Finds('unsafe-when-unheard', WorkStep::SafeStates)]
final readonly class UnsafeWhenUnheard implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        return Unsafe::in($look, $output, [Phase::LinkLost], 'Out of range, with an empty battery or a box that hangs, nobody can say otherwise.');
    }
}
