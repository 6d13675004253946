<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Dmx\Patch;
use Rundfunk\Medium\Dmx\Patched;
use Rundfunk\Medium\Dmx\Universe;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** A lamp that nothing is ever said to. */
#[Finds('dmx-idle', WorkStep::Links)]
final readonly class Idle implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $universe = Universe::of($look->plan, $link);
        $told = [];
        foreach ($look->plan->hopsOver($link) as $hop) {
            $told[$hop->toId] = true;
        }
        foreach ($universe->patched as $one) {
            $mirrors = array_filter($universe->patched, static fn (Patched $other): bool => isset($told[$other->end->id]) && Patch::mirrors($one, $other));
            if (! $one->node->kind->isBought() || $one->mode === null || isset($told[$one->end->id]) || $mirrors !== []) {
                continue;
            }
            yield Finding::advice(
                "Nothing is ever said to {$one->node->name}",
                Spot::of($one->end, "{$one->node->name} on {$link->name}"),
                'It is patched, and stays at rest.',
                'Let a control work one of its slots, below at what tells what.',
                about: [$one->end->id],
            );
        }
    }
}
