<?php

declare(strict_types=1);

namespace Rundfunk\Power;

use Rundfunk\Plan\Node;
use Rundfunk\Plan\Part;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\PlanDraft;
use Rundfunk\Plan\Supply;

/**
 * The nodes that current flows between, cut out of a plan with their supplies and modules: what feeds a module is tried on
 * this, and not on the whole of a plan of hundreds of nodes.
 */
final readonly class Island
{
    private function __construct(public Plan $whole, public Plan $plan)
    {
    }

    public static function around(Plan $plan, Node $node): self
    {
        $draft = new PlanDraft($plan->properties);
        $waiting = [$node];
        while (($one = array_pop($waiting)) !== null) {
            if ($draft->find(Node::kind(), $one->id) !== null) {
                continue;
            }
            $draft->put($one);
            foreach ($plan->modulesOf($one) as $module) {
                $draft->put($module);
                array_map($draft->put(...), $plan->having(Part::class, 'moduleId', $module->id));
            }
            foreach ($plan->suppliesOf($one) as $supply) {
                $draft->put($supply);
                $others = $plan->having(Supply::class, 'parentId', $supply->id);
                $parent = $supply->parentId === null ? null : $plan->find(Supply::kind(), $supply->parentId);
                foreach ($parent instanceof Supply ? [...$others, $parent] : $others as $other) {
                    if ($other->nodeId !== $one->id) {
                        $waiting[] = $plan->node($other->nodeId);
                    }
                }
            }
        }

        return new self($plan, $draft->plan());
    }

    /** @param  Plan  $plan  the same nodes, with more on them */
    public function with(Plan $plan): self
    {
        return new self($this->whole, $plan);
    }

    /** @return string an id that neither the whole plan nor the island has: {@see Plan::newId()} */
    public function newId(string ...$for): string
    {
        $id = $this->whole->newId(...$for);
        while ($this->plan->find(Supply::kind(), $id) !== null) {
            $for[] = 'more';
            $id = $this->whole->newId(...$for);
        }

        return $id;
    }
}
