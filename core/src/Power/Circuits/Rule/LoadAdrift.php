<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\LoadUse;
use Rundfunk\Power\Circuits\At;

/** A load that is to be switched, and no output does. */
#[Finds('load-adrift', WorkStep::SafeStates)]
final readonly class LoadAdrift implements PlanRule
{
    public function check(Look $look): iterable
    {
        foreach ($look->plan->loads() as $load) {
            if ($load->use === LoadUse::Switched && $load->outputId === null) {
                yield Finding::warning(
                    "No output switches {$load->name}",
                    At::load($look, $load, 'outputId'),
                    'It is listed, and on at all times or never.',
                    'Put it on an output, or say that it is always on, spare or unplugged.',
                );
            }
        }
    }
}
