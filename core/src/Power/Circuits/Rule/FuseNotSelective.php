<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Power\Circuits\AllLoads;
use Rundfunk\Power\Circuits\At;

/** A branch whose fuse is no smaller than the one that it hangs behind. */
#[Finds('fuse-not-selective', WorkStep::SafeStates)]
final readonly class FuseNotSelective implements PlanRule
{
    public function check(Look $look): iterable
    {
        $all = AllLoads::in($look);
        foreach ($look->plan->circuits() as $circuit) {
            foreach ($all->above($circuit) as $parent) {
                if ($circuit->fuseA !== null && $parent->fuseA !== null && $circuit->fuseA >= $parent->fuseA - 1e-9) {
                    yield Finding::advice(
                        "A fault on {$circuit->name} darkens all of {$parent->name}",
                        At::circuit($circuit, 'fuseA'),
                        Figures::significant($circuit->fuseA).' A behind '.Figures::significant($parent->fuseA).' A: either may blow first, and the network\'s own box may hang on the other branch.',
                        'A smaller fuse for the branch, if its loads allow.',
                        numbers: ['fuse_a' => $circuit->fuseA, 'before_a' => $parent->fuseA],
                    );

                    break;
                }
            }
        }
    }
}
