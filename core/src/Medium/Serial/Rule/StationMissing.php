<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Serial\SerialEnd;
use Rundfunk\Medium\Serial\SerialLine;

/** A node that nobody can ask for. */
#[Finds('serial-id-missing', WorkStep::Links)]
final readonly class StationMissing implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        if (SerialEnd::of($end->endpoint)->station === null && SerialLine::of($look->plan, $end->link)->hasId($end->endpoint)) {
            yield Finding::fault(
                "{$end->node->name} has no id on {$end->link->name}",
                $end->at('station'),
                'Each frame says for whom it is.',
                'Let Assign hand one out, or type the one it has.',
            );
        }
    }
}
