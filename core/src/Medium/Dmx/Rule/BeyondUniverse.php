<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Dmx\DmxFrame;
use Rundfunk\Medium\Dmx\Patch;
use Rundfunk\Medium\Dmx\Universe;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** Somebody whose last slot is behind the last that there is. */
#[Finds('dmx-beyond-universe', WorkStep::Links)]
final readonly class BeyondUniverse implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $universe = Universe::of($look->plan, $link);
        foreach ($universe->patched as $one) {
            if (($one->last() ?? 0) <= DmxFrame::MOST_SLOTS) {
                continue;
            }
            $free = Patch::free($universe, $one);
            yield Finding::fault(
                "{$one->node->name} reaches to slot {$one->last()} of {$link->name}",
                Spot::of($one->end, "{$one->node->name} on {$link->name}", 'start'),
                "It takes {$one->footprint} slots from {$one->settings->start} on, and a universe has 512.",
                'Start it lower, or put it on another universe.',
                $free === null ? null : Fix::settings("Start it at {$free}", $one->end, ['start' => $free]),
                numbers: ['last' => $one->last()],
                about: [$one->end->id],
            );
        }
    }
}
