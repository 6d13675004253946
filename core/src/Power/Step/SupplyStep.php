<?php

declare(strict_types=1);

namespace Rundfunk\Power\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;
use Rundfunk\Plan\Supply;
use Rundfunk\Power\FeedChoice;
use Rundfunk\Power\Feeding;
use Rundfunk\Power\Island;
use Rundfunk\Power\SupplyTree;

/** What feeds a module: the cheapest that suits it and bears it. What is sound already, or kept, stays. */
final readonly class SupplyStep implements Step
{
    public function stage(): Stage
    {
        return Stage::Supply;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        $catalogue = $knowledge->catalogue;
        foreach ($plan->nodes() as $node) {
            if ($catalogue->boardOf($node) === null) {
                continue;
            }
            $waiting = $this->waiting($plan, $node, $catalogue);
            if ($waiting === []) {
                continue;
            }
            $island = Island::around($plan, $node);
            if ($island === null) {
                continue;
            }
            foreach ($waiting as $module) {
                // One that moved before it may have made room.
                if ($module->supplyId !== null && Feeding::suits($island->plan, $catalogue, $module)) {
                    continue;
                }
                $choice = Feeding::best($island, $catalogue, $module);
                if ($choice !== null) {
                    yield $this->proposal($island->plan, $node, $choice, $catalogue);
                    $island = $island->with($choice->in($island->plan));
                    // What one node takes of a shared supply is gone for the next.
                    $plan = $island->isShared() ? $choice->in($plan) : $plan;
                }
            }
        }
    }

    /** @return list<Module> those that are fed by nothing, then those that are fed wrongly: what asks most first, for it is what overloads */
    private function waiting(Plan $plan, Node $node, Catalogue $catalogue): array
    {
        $tree = new SupplyTree($plan, $catalogue);
        $new = [];
        $wrong = [];
        foreach ($plan->modulesOf($node) as $module) {
            $class = $catalogue->classOf($module);
            if (! $class->isFed() || $class->peakMa === 0.0) {
                continue;
            }
            if ($module->supplyId === null) {
                $new[] = $module;
            } elseif (! $module->pinned && ! Feeding::suits($plan, $catalogue, $module)) {
                $wrong[] = $module;
            }
        }
        usort($wrong, static fn (Module $a, Module $b): int => $tree->loadOf($b)->peakMa <=> $tree->loadOf($a)->peakMa);

        return [...$wrong, ...$new];
    }

    private function proposal(Plan $plan, Node $node, FeedChoice $choice, Catalogue $catalogue): Proposal
    {
        $module = $choice->module;
        $before = $module->supplyId === null ? null : $plan->find(Supply::kind(), $module->supplyId)?->label();

        return new Proposal(
            $this->stage(),
            Spot::of($module, "{$node->name}, {$module->name}", 'supplyId'),
            "Supply of {$node->name} · {$module->name}",
            $before,
            Feeding::words($choice, $catalogue),
            Feeding::reason($choice, $plan, $catalogue),
            $choice->operations(),
        );
    }
}
