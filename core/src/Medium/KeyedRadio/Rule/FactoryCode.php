<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\KeyedRadio\KeyedCodes;

/** A code whose switches nobody has touched: the neighbour's are the same. */
#[Finds('keyed-factory-code', WorkStep::Links)]
final readonly class FactoryCode implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        foreach ($look->plan->hopsFrom($end->endpoint) as $hop) {
            $bits = KeyedCodes::of($look->plan, $hop);
            if ($bits?->isFactorySet() === true) {
                return [Finding::warning(
                    "{$end->node->name} sends as it came from the factory",
                    $end->at(),
                    'All its switches stand alike, as on every other of its kind: the neighbour\'s doorbell works your lamp, and your fob his.',
                    'Set the switches to something of your own, and learn the codes again.',
                    numbers: ['code' => $bits->text()],
                )];
            }
        }

        return [];
    }
}
