<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\RouteNames;

/** A sequence that leaves on what can hurt. */
#[Finds('sequence-leaves-on', WorkStep::Routes)]
final readonly class SequenceLeavesOn implements PlanRule
{
    public function check(Look $look): iterable
    {
        foreach (Sequences::in($look)->all as $sequence) {
            foreach ($sequence->byOutput() as $id => $asked) {
                $output = $look->plan->output($id);
                $last = $asked[count($asked) - 1]['route'];
                $hazard = $output->proofHazards()[0] ?? null;
                if ($hazard === null || $last->putsOff() || $last->action === Action::Pulse || $last->action === Action::Toggle || ($last->action === Action::Step && ($last->value ?? 1) < 0)) {
                    continue;
                }

                yield Finding::warning(
                    "{$sequence->output->name} leaves {$output->name} on",
                    Spot::of($last, RouteNames::of($look->plan, $last), 'action'),
                    "Its last word to it is {$last->action->value}, and {$hazard->words()}: when the sequence is over, or has been stopped, nobody thinks of it.",
                    "Let a later step put it off, or make it a pulse; and let a step that comes when it is stopped put it off too. {$hazard->caution()}",
                    Fix::change('Make it a pulse of 10 s', $last, ['action' => Action::Pulse->value, 'pulseMs' => $last->pulseMs ?? 10_000, 'value' => null]),
                    about: [$sequence->output->id, $id],
                );
            }
        }
    }
}
