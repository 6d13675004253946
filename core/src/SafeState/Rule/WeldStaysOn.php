<?php

declare(strict_types=1);

namespace Rundfunk\SafeState\Rule;

use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Output;
use Rundfunk\SafeState\Phase;

/** Something that can hurt, and nothing opens its circuit when its contact welds. */
#[Finds('weld-stays-on', WorkStep::SafeStates)]
final readonly class WeldStaysOn implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        return Unsafe::in($look, $output, [Phase::Welded], 'A contact that welds, and a solid-state relay that fails, stay on whatever any program says.');
    }
}
