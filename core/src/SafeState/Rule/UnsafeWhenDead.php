<?php

declare(strict_types=1);

namespace Rundfunk\SafeState\Rule;

use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Output;
use Rundfunk\SafeState\Phase;

/** Something that must be off or on, and is not while part of its node has no power. */
#[Finds('unsafe-when-dead', WorkStep::SafeStates)]
final readonly class UnsafeWhenDead implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        return Unsafe::in($look, $output, [Phase::Off, Phase::LogicOnly, Phase::CoilsOnly], 'That is so with a blown fuse, a plug pulled out or a switched-off supply.');
    }
}
