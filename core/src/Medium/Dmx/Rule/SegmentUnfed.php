<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Dmx\Segments;
use Rundfunk\Medium\Dmx\Universe;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** A stretch of cable that begins nowhere. */
#[Finds('dmx-segment-unfed', WorkStep::Links)]
final readonly class SegmentUnfed implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $universe = Universe::of($look->plan, $link);
        if ($universe->settings->isNetwork || $universe->senders === []) {
            return;
        }
        foreach (Segments::of($look->plan, $link)->all() as $segment) {
            if ($segment->fedBy === null && $segment->ends !== []) {
                yield Finding::fault(
                    "Segment {$segment->number} of {$link->name} begins at no splitter",
                    Spot::of($segment->ends[0], "{$universe->node($segment->ends[0])->name} on {$link->name}", 'segment'),
                    'The sender drives segment 1; each splitter drives as many more as it has outputs. Whatever hangs on this one hears nothing.',
                    'Say into how many segments a splitter splits, or put these on another.',
                    numbers: ['segment' => $segment->number],
                    about: [$link->id],
                );
            }
        }
    }
}
