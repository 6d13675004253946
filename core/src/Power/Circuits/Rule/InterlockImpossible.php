<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits\Rule;

use Rundfunk\Behaviour\NeverTogether;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Output;
use Rundfunk\Power\Circuits\At;
use Rundfunk\Power\Circuits\Interlock;

/** An interlock over contacts that are not there. */
#[Finds('interlock-impossible', WorkStep::SafeStates)]
final readonly class InterlockImpossible implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        if (! $output->interlocked || Interlock::isPossible($look, $output)) {
            return [];
        }
        if (NeverTogether::with($look->plan, $output) !== []) {
            return [Finding::fault(
                "{$output->name} has no contact that could open the other's line",
                At::output($look, $output, 'interlocked'),
                'An interlock wants a normally closed contact of each in the line of the other: a relay with changeover contacts, whose load hangs on the normally open one.',
                'Such a relay.',
                Fix::change('Say that there is no interlock', $output, ['interlocked' => false]),
            )];
        }

        return [];
    }
}
