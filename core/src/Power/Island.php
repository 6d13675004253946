<?php

declare(strict_types=1);

namespace Rundfunk\Power;

use Rundfunk\Plan\Load;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\PlanDraft;
use Rundfunk\Plan\Supply;

/**
 * The nodes that current flows between, cut out of a plan with their supplies, modules and what is on their channels: what feeds a module is tried on
 * this, and not on the whole of a plan of hundreds of nodes.
 */
final readonly class Island
{
    /** Modules, supplies or nodes that hang together. */
    private const MOST = 100;

    private function __construct(public Plan $whole, public Plan $plan)
    {
    }

    /** @return self|null null where more hangs together than anybody builds: there is nothing to be tried on it in time */
    public static function around(Plan $plan, Node $node): ?self
    {
        $draft = new PlanDraft($plan->properties);
        $seen = [$node->id => true];
        $waiting = [$node];
        while (($one = array_pop($waiting)) !== null) {
            $modules = $plan->modulesOf($one);
            $supplies = $plan->suppliesOf($one);
            if ($draft->count(Module::kind()) + count($modules) > self::MOST || $draft->count(Supply::kind()) + count($supplies) > self::MOST) {
                return null;
            }
            $draft->put($one);
            array_map($draft->put(...), [...$modules, ...$supplies]);
            foreach ($supplies as $supply) {
                array_map($draft->put(...), $plan->having(Load::class, 'supplyId', $supply->id));
            }
            foreach ($modules as $module) {
                array_map($draft->put(...), [...$plan->partsOf($module), ...$plan->pinUsesOf($module), ...$plan->having(Output::class, 'moduleId', $module->id)]);
            }
            foreach ([...self::above($plan, $modules, $supplies), ...self::below($plan, $supplies)] as $joined) {
                if (! isset($seen[$joined->nodeId])) {
                    $seen[$joined->nodeId] = true;
                    $waiting[] = $plan->node($joined->nodeId);
                }
            }
            if (count($seen) > self::MOST) {
                return null;
            }
        }

        return new self($plan, $draft->plan());
    }

    /**
     * @param  list<Module>  $modules
     * @param  list<Supply>  $supplies
     * @return list<Supply> what they hang on
     */
    private static function above(Plan $plan, array $modules, array $supplies): array
    {
        $ids = [...array_map(static fn (Module $module): ?string => $module->supplyId, $modules), ...array_map(static fn (Module $module): ?string => $module->signalSupplyId, $modules), ...array_map(static fn (Supply $supply): ?string => $supply->parentId, $supplies)];
        $above = [];
        foreach (array_filter($ids, is_string(...)) as $id) {
            $supply = $plan->find(Supply::kind(), $id);
            if ($supply instanceof Supply) {
                $above[] = $supply;
            }
        }

        return $above;
    }

    /**
     * @param  list<Supply>  $supplies
     * @return list<Supply|Module> what hangs on them
     */
    private static function below(Plan $plan, array $supplies): array
    {
        $below = [];
        foreach ($supplies as $supply) {
            array_push($below, ...$plan->having(Supply::class, 'parentId', $supply->id), ...$plan->having(Module::class, 'supplyId', $supply->id), ...$plan->having(Module::class, 'signalSupplyId', $supply->id));
        }

        return $below;
    }

    /** Other nodes are on it too. */
    public function isShared(): bool
    {
        return count($this->plan->nodes()) > 1;
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
