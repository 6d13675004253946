<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Dmx\DmxSayings;
use Rundfunk\Medium\Dmx\Universe;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** A control that lights a lamp and closes its shutter with the same press. */
#[Finds('dmx-shut-at-once', WorkStep::Routes)]
final readonly class ShutAtOnce implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        foreach (Universe::of($look->plan, $link)->patched as $one) {
            $lit = $shut = [];
            foreach ($one->uses as $use) {
                $output = $use->output;
                if ($output === null) {
                    continue;
                }
                foreach ($look->plan->routesTo($output) as $route) {
                    $level = DmxSayings::level($look->plan, $route, $use);
                    if ($level !== null && ! $use->slot->lets($level >> 8)) {
                        $shut[$route->controlId] ??= [$use, $route];
                    } elseif ($level !== null && $level > 0 && $use->slot->opensFrom === null && $use->slot->is->lights()) {
                        $lit[$route->controlId] = true;
                    }
                }
            }
            foreach (array_intersect_key($shut, $lit) as $controlId => [$use, $route]) {
                $control = $look->plan->control($controlId);
                yield Finding::warning(
                    "{$control->name} lights {$one->node->name} and closes its {$use->slot->name}",
                    Spot::of($route, "{$control->name} → {$use->slot->name} of {$one->node->name}", 'value'),
                    "Nothing shows unless {$use->slot->name} is told {$use->slot->opensFrom} to ".($use->slot->opensTo ?? 255).': both are told at once, and it stays dark.',
                    "Leave {$use->slot->name} as it is, or say a value that lets light through.",
                    $use->slot->lets($use->slot->rest) ? Fix::remove("Leave {$use->slot->name} as it is", $route) : null,
                    about: [$one->end->id, $route->id],
                );
            }
        }
    }
}
