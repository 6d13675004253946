<?php

declare(strict_types=1);

namespace Rundfunk\Cables\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Cables\CableRuns;
use Rundfunk\Cables\Cores;
use Rundfunk\Check\Look;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Cable;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;

/** Which core of a cable is for what. */
final readonly class CoreStep implements Step
{
    public function stage(): Stage
    {
        return Stage::Part;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (CableRuns::in(new Look($plan, $knowledge))->runs as $run) {
            $cable = $run->cable;
            $uses = Cores::completed($run);
            if ($uses === null) {
                continue;
            }
            yield new Proposal(
                $this->stage(), Spot::of($cable, $cable->name, 'uses'), "Cores of {$cable->name}",
                $cable->uses === [] ? null : Cores::words($run, $cable->uses), Cores::words($run, $uses),
                'Each wire once, the two of a pair on cores that are twisted together; the lowest that are free.',
                [Operation::change(Cable::kind(), $cable->id, ['uses' => Cores::values($uses)])],
            );
        }
    }
}
