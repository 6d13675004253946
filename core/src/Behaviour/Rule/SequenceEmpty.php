<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Behaviour\Steps;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Spot;

/** A sequence or a group that has no steps: nothing follows when it is put on. */
#[Finds('sequence-empty', WorkStep::Nodes)]
final readonly class SequenceEmpty implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        if (! $output->kind->hasSteps() || Steps::of($look->plan, $output) !== []) {
            return [];
        }

        return [Finding::fault(
            "{$output->name} has no steps",
            Spot::of($output, "{$output->name} of {$look->plan->node($output->nodeId)->name}", 'stepIds'),
            'It can be put on, and nothing follows.',
            $output->kind === OutputKind::Group ? 'Add what it hands on, and route that to the outputs that are worked as one.' : 'Add its steps, and route each to what it does.',
        )];
    }
}
