<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Dmx\Patch;
use Rundfunk\Medium\Dmx\Universe;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** An address that the lamp's switches do not reach. */
#[Finds('dmx-switches-cannot', WorkStep::Links)]
final readonly class SwitchesCannot implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $universe = Universe::of($look->plan, $link);
        foreach ($universe->patched as $one) {
            $switches = $one->switches();
            if ($switches === null || $one->footprint === 0 || $one->settings->start === null || $switches->for($one->settings->start) !== null) {
                continue;
            }
            $free = Patch::free($universe, $one);
            yield Finding::fault(
                "The switches of {$one->node->name} cannot say {$one->settings->start}",
                Spot::of($one->end, "{$one->node->name} on {$link->name}", 'start'),
                'Nine switches that say the address itself go from 1 to 511.',
                'Start it lower.',
                $free === null ? null : Fix::settings("Start it at {$free}", $one->end, ['start' => $free]),
                numbers: ['start' => $one->settings->start],
                about: [$one->end->id],
            );
        }
    }
}
