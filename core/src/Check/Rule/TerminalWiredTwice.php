<?php

declare(strict_types=1);

namespace Rundfunk\Check\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Edit\Operation;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

/** One terminal that the plan puts on two pins. */
final readonly class TerminalWiredTwice implements LooksNearby
{
    public function key(): string
    {
        return 'terminal-wired-twice';
    }

    public function reads(): array
    {
        return [ThingKind::Node, ThingKind::Module, ThingKind::PinUse];
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->modules() as $module) {
            $kept = [];
            foreach ($plan->pinUsesOf($module) as $use) {
                $other = $kept[$use->terminal] ?? null;
                $kept[$use->terminal] = $other?->pinned === false && $use->pinned ? $use : $other ?? $use;
                if ($other === null) {
                    continue;
                }
                $stays = $kept[$use->terminal];
                $goes = $stays === $use ? $other : $use;
                $node = $plan->node($module->nodeId);
                yield new Finding(
                    $this->key(),
                    Severity::Fault,
                    "{$use->terminal} of {$module->name} is wired twice",
                    Subject::of($goes, "{$node->name}, {$module->name} {$use->terminal}", 'pin'),
                    ['pin' => $stays->pin, 'other' => $goes->pin],
                    "It is said to sit on {$stays->pin} and on {$goes->pin}: the wiring table shows one of them, the header both.",
                    'Keep the one that is soldered.',
                    new Fix("Forget {$goes->pin}", Operation::remove(ThingKind::PinUse, $goes->id)),
                    [$stays->id, $goes->id],
                );
            }
        }
    }
}
