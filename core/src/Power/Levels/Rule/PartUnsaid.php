<?php

declare(strict_types=1);

namespace Rundfunk\Power\Levels\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\ModuleRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Spot;

/** A discrete part without its value, or at a terminal that its module has not: nobody can buy it or judge it. */
#[Finds('part-unsaid', WorkStep::PinsAndPower)]
final readonly class PartUnsaid implements ModuleRule
{
    public function check(Module $module, Look $look): iterable
    {
        $class = $look->catalogue->classOf($module);
        $node = $look->plan->node($module->nodeId);
        foreach ($look->plan->partsOf($module) as $part) {
            $values = $part->values();
            $missing = array_filter(array_keys($part->kind->figures()), static fn (string $figure): bool => $values[$figure] === null);
            $isThere = $class->terminal($part->terminal) !== null || isset($class->supplyTerminals[$part->terminal]);
            if ($missing === [] && $isThere) {
                continue;
            }
            yield Finding::warning(
                $isThere ? "The {$part->kind->words()} at {$module->name} {$part->terminal} of {$node->name} has no value" : "The {$part->kind->words()} at {$part->terminal} of {$module->name} on {$node->name} hangs on nothing",
                Spot::of($part, "{$node->name}, {$module->name}", $missing === [] ? 'terminal' : array_values($missing)[0]),
                $isThere ? 'Nobody can buy it, and whether the wire works with it cannot be told.' : "{$class->name} has no terminal of that name.",
                $isThere ? 'Say its value, or take it off.' : 'Put it at a terminal that is there, or take it off.',
            );
        }
    }
}
