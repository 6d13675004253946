<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Power\Circuits\At;

/** A load that hangs on no circuit and no supply, or on both. */
#[Finds('load-unfed', WorkStep::SafeStates)]
final readonly class LoadUnfed implements PlanRule
{
    public function check(Look $look): iterable
    {
        foreach ($look->plan->loads() as $load) {
            $none = $load->circuitId === null && $load->supplyId === null;
            if (! $load->use->draws() || $none === ($load->circuitId !== null && $load->supplyId !== null)) {
                continue;
            }

            yield $none
                ? Finding::warning("Nobody has said what feeds {$load->name}", At::load($look, $load, 'circuitId'), 'Its current, its fuse and the cautions hang on that.', 'Name its circuit, or the supply of the plan that feeds it.')
                : Finding::fault("{$load->name} hangs on a circuit and on a supply", At::load($look, $load, 'circuitId'), 'One contact switches one of them; joined, the mains is on the board.', 'One of them.', Fix::change('Take it off the circuit', $load, ['circuitId' => null]));
        }
    }
}
