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

/** Two signals of an end under one name: a reading means the first of them. */
#[Finds('can-signal-twice', WorkStep::Links)]
final readonly class SignalTwice implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $seen = [];
        foreach ($end->link->medium === Can::KEY ? CanEnd::of($look->plan, $end->endpoint)->messages : [] as $message) {
            foreach ($message->signals as $signal) {
                $other = $seen[$signal->name] ?? null;
                $seen[$signal->name] ??= $message->of->name;
                if ($other === null) {
                    continue;
                }
                yield Finding::warning(
                    "{$end->node->name} has two signals called {$signal->name}",
                    Spot::of($message->of, "{$message->of->name} of {$end->node->name}", 'signals'),
                    "One is of {$other}, the other of {$message->of->name}: what goes by that name is the first.",
                    'Call one of them otherwise.',
                    numbers: ['signal' => $signal->name],
                    about: [$message->of->id, $signal->name],
                );
            }
        }
    }
}
