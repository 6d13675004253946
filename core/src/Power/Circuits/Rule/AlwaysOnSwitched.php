<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\LoadUse;
use Rundfunk\Plan\Output;
use Rundfunk\Power\Circuits\At;

/** Something that is to be on at all times hangs on an output. */
#[Finds('always-on-switched', WorkStep::SafeStates)]
final readonly class AlwaysOnSwitched implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        foreach ($look->plan->loadsOn($output) as $load) {
            if ($load->use === LoadUse::AlwaysOn) {
                yield Finding::fault(
                    "{$load->name} is to be on at all times, and {$output->name} switches it",
                    At::load($look, $load, 'use'),
                    'Whatever puts the output off, a reset among it, puts that off too.',
                    'Plug it in beside the output.',
                    Fix::change('Take it off the output', $load, ['outputId' => null]),
                    about: [$output->id, $load->id],
                );
            }
        }
    }
}
