<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Circuit;
use Rundfunk\Power\Circuits\At;
use Rundfunk\Power\Circuits\Spread;

/** Circuits side by side of which one has most of the load. */
#[Finds('circuits-unbalanced', WorkStep::SafeStates)]
final readonly class CircuitsUnbalanced implements PlanRule
{
    public function check(Look $look): iterable
    {
        foreach (Spread::in($look) as $spread) {
            if ($spread->now - $spread->best < self::WORTH) {
                continue;
            }

            yield Finding::advice(
                "{$spread->circuits[0]->name} and what lies beside it are unevenly loaded",
                At::circuit($spread->circuits[0]),
                'The fullest has '.Figures::significant(100 * $spread->now).' % of its fuse with everything on; it could be '.Figures::significant(100 * $spread->best).' %. A fuse that is warm all winter ages.',
                'Move '.count($spread->moves).' of them. What is kept stays, and what one contact switches goes together.',
                new Fix('Spread them: '.Figures::significant(100 * $spread->best).' % at most', ...$spread->operations()),
                numbers: ['now' => round($spread->now, 3), 'best' => round($spread->best, 3)],
                about: array_map(static fn (Circuit $circuit): string => $circuit->id, $spread->circuits),
            );
        }
    }

    /** Less is not worth another evening with a screwdriver. Common practice. */
    private const WORTH = 0.1;
}
