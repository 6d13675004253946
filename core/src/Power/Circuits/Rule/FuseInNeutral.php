<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Power\Circuits\At;

/** A circuit whose fuse is in the neutral. */
#[Finds('fuse-in-neutral', WorkStep::SafeStates)]
final readonly class FuseInNeutral implements PlanRule
{
    public function check(Look $look): iterable
    {
        foreach ($look->plan->circuits() as $circuit) {
            if ($circuit->inNeutral && $circuit->fuseA !== null) {
                yield Finding::danger(
                    "The fuse of circuit {$circuit->name} is in the neutral",
                    At::circuit($circuit, 'inNeutral'),
                    'When it blows everything on it is dead, and live all the same.',
                    'In the line conductor, never the neutral.',
                    Fix::change('Put it into the line', $circuit, ['inNeutral' => false]),
                );
            }
        }
    }
}
