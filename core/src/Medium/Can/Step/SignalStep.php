<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Can\Can;
use Rundfunk\Medium\Can\Ends;
use Rundfunk\Medium\Can\Signals;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;

/** Which signal a reading of a bought node is, where its name says so or there is nothing to choose. */
final readonly class SignalStep implements Step
{
    public function stage(): Stage
    {
        return Stage::End;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        // What one becomes may leave another nothing to choose.
        while (($proposal = $this->next($plan)) !== null) {
            $draft = $plan->draft();
            foreach ($proposal->operations as $operation) {
                $draft->change($plan->control($operation->id), $operation->values);
            }
            $plan = $draft->plan();
            yield $proposal;
        }
    }

    private function next(Plan $plan): ?Proposal
    {
        foreach ($plan->linksOver(Can::KEY) as $link) {
            foreach ($plan->endpointsOn($link) as $end) {
                $node = $plan->node($end->nodeId);
                $ends = $node->kind->isBought() ? Ends::of($plan, $node) : [];
                foreach ($ends === [] ? [] : $plan->controlsOf($node) as $control) {
                    $name = $control->kind === ControlKind::Reading && ! $control->pinned && Signals::of($plan, $ends, $control->terminal) === null ? Signals::likely($plan, $ends, $control) : null;
                    if ($name !== null) {
                        return new Proposal(
                            $this->stage(), Spot::of($control, "{$node->name}, {$control->name}", 'terminal'), "What {$control->name} of {$node->name} is", $control->terminal, $name,
                            'The signal of that name, or the only one that is nothing else.', [Operation::change(Control::kind(), $control->id, ['terminal' => $name])],
                        );
                    }
                }
            }
        }

        return null;
    }
}
