<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Infrared\IrEmitter;
use Rundfunk\Medium\Infrared\IrSends;

/** Sends that follow each other before the frame and its gap are over. */
#[Finds('ir-interval-too-short', WorkStep::Links)]
final readonly class IntervalTooShort extends InfraredRule implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $emitter = IrEmitter::of($look->plan, $end->endpoint, $look->catalogue);
        if ($emitter === null) {
            return [];
        }
        $least = IrSends::leastIntervalMs($look->plan, $end->endpoint, $this->protocols);
        $now = $emitter->end->intervalMs;
        if ($now === null || $now >= $least) {
            return [];
        }

        return [Finding::fault(
            "{$end->node->name} sends every {$now} ms what takes {$least}",
            $end->at('intervalMs'),
            'The next frame begins before the last and its gap are over; the appliance takes both for noise.',
            "Leave {$least} ms.",
            Fix::settings("Set {$least} ms", $end->endpoint, ['intervalMs' => $least]),
            numbers: ['interval_ms' => $now, 'least_ms' => $least],
        )];
    }
}
