<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Dmx\DmxSettings;
use Rundfunk\Medium\Dmx\Segments;
use Rundfunk\Medium\Dmx\Universe;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** More on one stretch than a driver feeds. */
#[Finds('dmx-too-many-loads', WorkStep::Links)]
final readonly class TooManyLoads implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        if (DmxSettings::of($link)->isNetwork) {
            return;
        }
        $universe = Universe::of($look->plan, $link);
        foreach (Segments::of($look->plan, $link)->all() as $segment) {
            $loads = Segments::loads($universe, $segment);
            if ($loads > Segments::MOST_LOADS) {
                yield Finding::fault(
                    Figures::significant($loads)." unit loads on segment {$segment->number} of {$link->name}, where a driver feeds ".Segments::MOST_LOADS,
                    Spot::of($link, $link->name),
                    'With so many the difference of the wires is too small to be read, first at the far end.',
                    'A splitter: each of its outputs feeds 32 more.',
                    numbers: ['unit_loads' => $loads, 'segment' => $segment->number],
                    about: [$link->id],
                );
            }
        }
    }
}
