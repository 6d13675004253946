<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Infrared\IrSends;
use Rundfunk\Plan\Plan;

/** Sends that follow each other before the frame and its gap are over. */
final readonly class IntervalTooShort extends InfraredRule implements LooksNearby
{
    public function key(): string
    {
        return 'ir-interval-too-short';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (self::emitters($plan, $knowledge) as ['link' => $link, 'endpoint' => $endpoint, 'node' => $node, 'emitter' => $emitter]) {
            $least = IrSends::leastIntervalMs($plan, $endpoint, $this->protocols);
            $now = $emitter->end->intervalMs;
            if ($now === null || $now >= $least) {
                continue;
            }
            yield new Finding(
                $this->key(),
                Severity::Fault,
                "{$node->name} sends every {$now} ms what takes {$least}",
                Subject::of($endpoint, "{$node->name} on {$link->name}", 'intervalMs'),
                ['interval_ms' => $now, 'least_ms' => $least],
                'The next frame begins before the last and its gap are over; the appliance takes both for noise.',
                "Leave {$least} ms.",
                self::setEnd($endpoint, "Set {$least} ms", ['intervalMs' => $least]),
            );
        }
    }
}
