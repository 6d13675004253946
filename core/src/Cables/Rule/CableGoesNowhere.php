<?php

declare(strict_types=1);

namespace Rundfunk\Cables\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Cable;
use Rundfunk\Plan\Spot;

/** Both ends of a cable at one node. */
#[Finds('cable-goes-nowhere', WorkStep::PinsAndPower)]
final readonly class CableGoesNowhere implements PlanRule
{
    public function check(Look $look): iterable
    {
        foreach ($look->plan->of(Cable::class) as $cable) {
            if ($cable->fromId === $cable->toId) {
                yield Finding::fault(
                    "Both ends of {$cable->name} are at {$look->plan->node($cable->fromId)->name}",
                    Spot::of($cable, $cable->name, 'toId'),
                    'Nothing goes through it.',
                    'Say where its other end is.',
                );
            }
        }
    }
}
