<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Check\Look;
use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;
use Rundfunk\Power\Circuits\Spread;

/** Which circuit feeds which load, where one is overloaded and another beside it is not. */
final readonly class SpreadStep implements Step
{
    public function stage(): Stage
    {
        return Stage::Part;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (Spread::in(new Look($plan, $knowledge)) as $spread) {
            foreach ($spread->isOverloaded() ? $spread->moves : [] as $id => $to) {
                $load = $plan->load($id);
                yield new Proposal(
                    $this->stage(), Spot::of($load, $load->name, 'circuitId'), "Circuit of {$load->name}",
                    $load->circuitId === null ? null : $plan->circuit($load->circuitId)->name, $plan->circuit($to)->name,
                    'The fullest circuit has '.Figures::significant(100 * $spread->best).' % of its fuse then, and '.Figures::significant(100 * $spread->now).' % now.',
                    [Operation::change($load::kind(), $id, ['circuitId' => $to])],
                );
            }
        }
    }
}
