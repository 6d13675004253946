<?php

declare(strict_types=1);

namespace Rundfunk\Pins\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\NodeRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Spot;

/** One terminal that the plan puts on two pins. */
#[Finds('terminal-wired-twice', WorkStep::PinsAndPower)]
final readonly class TerminalWiredTwice implements NodeRule
{
    public function check(Node $node, Look $look): iterable
    {
        foreach ($look->plan->modulesOf($node) as $module) {
            $kept = [];
            foreach ($look->plan->pinUsesOf($module) as $use) {
                $other = $kept[$use->terminal] ?? null;
                $kept[$use->terminal] = $other?->pinned === false && $use->pinned ? $use : $other ?? $use;
                if ($other === null) {
                    continue;
                }
                $stays = $kept[$use->terminal];
                $goes = $stays === $use ? $other : $use;
                yield Finding::fault(
                    "{$use->terminal} of {$module->name} is wired twice",
                    Spot::of($goes, "{$node->name}, {$module->name} {$use->terminal}", 'pin'),
                    "It is said to sit on {$stays->pin} and on {$goes->pin}: the wiring table shows one of them, the header both.",
                    'Keep the one that is soldered.',
                    Fix::remove("Forget {$goes->pin}", $goes),
                    numbers: ['pin' => $stays->pin, 'other' => $goes->pin],
                    about: [$stays->id, $goes->id],
                );
            }
        }
    }
}
