<?php

declare(strict_types=1);

namespace Rundfunk\Cables\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Cables\CableRun;
use Rundfunk\Cables\Cores;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Cable;
use Rundfunk\Plan\CableCore;
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
        foreach ($plan->of(Cable::class) as $cable) {
            $run = CableRun::of($plan, $cable, $knowledge);
            $uses = Cores::completed($run);
            if ($uses === null) {
                continue;
            }
            yield new Proposal(
                $this->stage(), Spot::of($cable, $cable->name, 'uses'), "Cores of {$cable->name}",
                $cable->uses === [] ? null : Cores::words($run, $cable->uses), Cores::words($run, $uses),
                'Each wire once, the two of a pair on cores that are twisted together; the lowest that are free.',
                [Operation::change(Cable::kind(), $cable->id, ['uses' => array_map(static fn (CableCore $one): array => $one->values(), $uses)])],
            );
        }
    }
}
