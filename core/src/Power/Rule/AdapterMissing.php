<?php

declare(strict_types=1);

namespace Rundfunk\Power\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\NodeRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Spot;
use Rundfunk\Plan\SupplyFrom;

#[Finds('adapter-missing', WorkStep::PinsAndPower)]
final readonly class AdapterMissing implements NodeRule
{
    public function check(Node $node, Look $look): iterable
    {
        $modules = $look->plan->modulesOf($node);
        $adapters = array_filter($modules, static fn (Module $module): bool => $look->catalogue->classOf($module)->givesMa !== null);
        foreach ($adapters === [] ? $modules : [] as $module) {
            if ($module->supply !== SupplyFrom::Adapter) {
                continue;
            }
            yield Finding::fault(
                "{$module->name} is fed by an adapter that {$node->name} does not have",
                Spot::of($module, "{$node->name}, {$module->name}", 'supply'),
                'The plan says that a regulator adapter feeds it, and no such module is on the node.',
                'Add the adapter, or feed the module from elsewhere.',
                Fix::add('Add a regulator adapter', new Module($look->plan->newId('adapter', $node->id), $node->id, 'regulator-adapter', 'Regulator', SupplyFrom::Board5V, 90)),
            );
        }
    }
}
