<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Dmx\Universe;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** Two that drive one pair of wires. */
#[Finds('dmx-two-senders', WorkStep::Links)]
final readonly class SendersTwo implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $universe = Universe::of($look->plan, $link);
        if ($universe->settings->isNetwork || count($universe->senders) < 2) {
            return [];
        }
        [$one, $other] = $universe->senders;

        return [Finding::fault(
            "{$universe->node($one)->name} and {$universe->node($other)->name} both drive {$link->name}",
            Spot::of($other, "{$universe->node($other)->name} on {$link->name}", 'role'),
            'Both drive the wires at all times, one high and one low: the lamps flicker, and the drivers get hot.',
            'One sends. A second desk goes through a merger, which is a receiver here and a sender on a universe of its own.',
            about: array_map(static fn (Endpoint $end): string => $end->id, $universe->senders),
        )];
    }
}
