<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Behaviour\Answers;
use Rundfunk\Check\ControlRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Spot;

/** A state that is of no output, or of one that its node does not drive. */
#[Finds('state-of-nothing', WorkStep::Nodes)]
final readonly class StateOfNothing implements ControlRule
{
    public function check(Control $control, Look $look): iterable
    {
        if ($control->kind !== ControlKind::State) {
            return [];
        }
        $of = Answers::of($look->plan, $control);
        if ($of !== null && $of->nodeId === $control->nodeId && $of->kind->stands()) {
            return [];
        }
        $node = $look->plan->node($control->nodeId);
        $here = array_values(array_filter($look->plan->outputsOf($node), static fn (Output $output): bool => $output->kind->stands()));

        return [Finding::fault(
            $of !== null ? "{$node->name} cannot say how {$of->name} stands" : "{$control->name} is the state of nothing",
            Spot::of($control, "{$node->name}, {$control->name}"),
            $of !== null ? 'Only the board that drives an output knows how it stands; anybody else says what was hoped for.' : 'There is nothing that it could tell.',
            'Say of which output of its own node it is, or remove it.',
            count($here) === 1 && $of === null ? Fix::change("Let it be of {$here[0]->name}", $here[0], ['stateIds' => [...$here[0]->stateIds, $control->id]]) : Fix::remove("Remove {$control->name}", $control),
        )];
    }
}
