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

/** Somebody who listens and has no address. */
#[Finds('dmx-address-missing', WorkStep::Links)]
final readonly class AddressMissing implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $universe = Universe::of($look->plan, $link);
        foreach ($universe->patched as $one) {
            if ($one->settings->start !== null || $one->footprint === 0) {
                continue;
            }
            $free = Patch::free($universe, $one);
            yield Finding::fault(
                "{$one->node->name} has no start address on {$link->name}",
                Spot::of($one->end, "{$one->node->name} on {$link->name}", 'start'),
                "It takes {$one->footprint} ".($one->footprint === 1 ? 'slot' : 'slots').' from its start address on.',
                'Give it one where they are free.',
                $free === null ? null : Fix::settings("Start it at {$free}", $one->end, ['start' => $free]),
                numbers: ['slots' => $one->footprint],
                about: [$one->end->id],
            );
        }
    }
}
