<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Power\Circuits\AllLoads;
use Rundfunk\Power\Circuits\At;

/** Mains outdoors or in the wet without a residual-current device. */
#[Finds('residual-missing', WorkStep::SafeStates)]
final readonly class ResidualMissing implements PlanRule
{
    public function check(Look $look): iterable
    {
        $all = AllLoads::in($look);
        foreach ($look->plan->circuits() as $circuit) {
            if ($circuit->outdoors && $circuit->isDangerous() && ! $circuit->direct && ! $all->isBehindResidual($circuit)) {
                yield Finding::danger(
                    "Circuit {$circuit->name} is outdoors and has no residual-current protection",
                    At::circuit($circuit, 'residual'),
                    'A damp plug and a hand on it: a fuse does not see the tenth of an ampere that kills.',
                    'A residual-current device of 30 mA before it; a licensed electrician fits and tests it.',
                    Fix::change('Say that one of 30 mA is before it', $circuit, ['residual' => true]),
                );
            }
        }
    }
}
