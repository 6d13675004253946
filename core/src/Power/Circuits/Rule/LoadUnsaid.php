<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Hazard;
use Rundfunk\Plan\Output;
use Rundfunk\Power\Circuits\AllLoads;
use Rundfunk\Power\Circuits\At;

/** Something that can hurt, and nobody has said what hangs there. */
#[Finds('load-unsaid', WorkStep::SafeStates)]
final readonly class LoadUnsaid implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        if (! $output->kind->isWired() || $output->hazards === [] || $look->plan->loadsOn($output) !== [] || AllLoads::in($look)->classOf($output)?->switches === null) {
            return [];
        }

        return [Finding::warning(
            "Nobody has said what hangs on {$output->name}",
            At::output($look, $output),
            ucfirst(Hazard::from($output->hazards[0])->words()).', and neither its contact nor its fuse can be judged without watts and kind.',
            'Name its load, with what its plate says and what feeds it.',
        )];
    }
}
