<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Dmx\DmxEnd;
use Rundfunk\Medium\Dmx\Universe;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** Two that send one universe over the network and neither is before the other. */
#[Finds('dmx-priority-tied', WorkStep::Links)]
final readonly class PriorityTied implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $universe = Universe::of($look->plan, $link);
        $by = [];
        foreach ($universe->settings->isNetwork ? $universe->senders : [] as $end) {
            $by[DmxEnd::of($end)->priority][] = $end;
        }
        krsort($by);
        $top = array_key_first($by);
        $tied = $top === null ? [] : $by[$top];
        if (count($tied) < 2) {
            return [];
        }

        return [Finding::warning(
            "{$universe->node($tied[0])->name} and {$universe->node($tied[1])->name} send {$link->name} with the same priority",
            Spot::of($tied[1], "{$universe->node($tied[1])->name} on {$link->name}", 'priority'),
            'Some receivers then take the higher of each slot, others whoever came first: no two lamps need agree.',
            'Give the one that counts a higher priority, or take one off.',
            $top < 200 ? Fix::settings("{$universe->node($tied[0])->name} goes first", $tied[0], ['priority' => $top + 1]) : null,
            numbers: ['priority' => $top],
            about: array_map(static fn (Endpoint $end): string => $end->id, $tied),
        )];
    }
}
