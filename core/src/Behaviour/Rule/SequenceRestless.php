<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\WorkStep;

/** A sequence that goes round faster than anything follows. */
#[Finds('sequence-restless', WorkStep::Routes)]
final readonly class SequenceRestless implements PlanRule
{
    /** Common practice: what is slower than this can be seen, heard and followed by a relay. */
    private const LEAST_MS = 100;

    public function check(Look $look): iterable
    {
        foreach (Sequences::in($look)->all as $sequence) {
            if (! $sequence->repeats() || $sequence->asked === [] || $sequence->lastsMs >= self::LEAST_MS) {
                continue;
            }

            yield Finding::fault(
                "{$sequence->output->name} begins again after {$sequence->lastsMs} ms",
                $sequence->at($look->plan, 'pauseMs'),
                'It is gone through more than ten times a second: relays do not follow, and a link is filled with its messages.',
                'Give its steps time, or pause before it begins again.',
                Fix::settings('Pause for one second', $sequence->output, ['pauseMs' => 1_000]),
                numbers: ['lasts_ms' => $sequence->lastsMs],
            );
        }
    }
}
