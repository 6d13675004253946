<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular;

use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Catalogue\ModuleClass;
use Rundfunk\Electrical\BurstDroop;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Rundfunk\Power\Burst;
use Rundfunk\Power\SupplyTree;
use Rundfunk\Shape\Values;

/** A node's end of a cellular link with the modem that serves it. */
final readonly class Modem
{
    private function __construct(
        public Link $link,
        public Endpoint $endpoint,
        public Node $node,
        public CellularEnd $end,
        public ?Module $module,
        public ?ModuleClass $class,
        public Values $figures,
    ) {
    }

    /** @return list<self> every end of a cellular link that is a board of ours */
    public static function all(Plan $plan, Catalogue $catalogue): array
    {
        $modems = [];
        foreach ($plan->linksOver(Cellular::KEY) as $link) {
            foreach ($plan->endpointsOn($link) as $endpoint) {
                $modem = self::of($plan, $endpoint, $catalogue);
                if ($modem !== null) {
                    $modems[] = $modem;
                }
            }
        }

        return $modems;
    }

    public static function of(Plan $plan, Endpoint $endpoint, Catalogue $catalogue): ?self
    {
        $node = $plan->node($endpoint->nodeId);
        if ($node->kind->isBought()) {
            return null;
        }
        $module = $endpoint->moduleId === null ? null : $plan->module($endpoint->moduleId);
        $class = $module === null ? null : $catalogue->classOf($module);

        return new self($plan->link($endpoint->linkId), $endpoint, $node, CellularEnd::of($endpoint), $module, $class, new Values($class->figures ?? []));
    }

    public function where(): string
    {
        return "{$this->node->name} on {$this->link->name}";
    }

    public function isLte(): bool
    {
        return $this->figures->textOrNull('generation') === 'lte';
    }

    /** The sag of its supply under its own bursts; null for a modem that has none, or where nobody can tell. */
    public function droop(SupplyTree $tree): ?BurstDroop
    {
        return $this->module === null ? null : Burst::of($tree, $this->module)?->droop();
    }
}
