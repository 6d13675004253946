<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Can\Can;
use Rundfunk\Medium\Can\CanEnd;
use Rundfunk\Plan\Spot;

/** Two signals of a message that share bits. */
#[Finds('can-signals-overlap', WorkStep::Links)]
final readonly class SignalsOverlap implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        foreach ($end->link->medium === Can::KEY ? CanEnd::of($look->plan, $end->endpoint)->messages : [] as $message) {
            foreach ($message->signals as $at => $signal) {
                foreach (array_slice($message->signals, $at + 1) as $other) {
                    // Whether it is this figure or that may be asked of the same bits.
                    if ($signal->of->equals !== null || $other->of->equals !== null || array_intersect($signal->places(), $other->places()) === []) {
                        continue;
                    }
                    yield Finding::warning(
                        "{$signal->name} and {$other->name} of {$message->of->name} share bits",
                        Spot::of($message->of, "{$message->of->name} of {$end->node->name}", 'signals'),
                        'One of the two is read from the wrong place, or is of another byte order.',
                        'Look again at their places and lengths. To ask whether one is some figure, say which figure.',
                        numbers: ['signals' => [$signal->name, $other->name]],
                        about: [$message->of->id, $signal->name, $other->name],
                    );
                }
            }
        }
    }
}
