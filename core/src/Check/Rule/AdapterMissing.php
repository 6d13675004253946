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
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\SupplyFrom;
use Rundfunk\Plan\ThingKind;

final readonly class AdapterMissing implements LooksNearby
{
    public function key(): string
    {
        return 'adapter-missing';
    }

    public function reads(): array
    {
        return [ThingKind::Node, ThingKind::Module];
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->nodes() as $node) {
            $modules = $plan->modulesOf($node);
            $adapters = array_filter($modules, static fn (Module $module): bool => $knowledge->catalogue->classOf($module)->givesMa !== null);
            foreach ($adapters === [] ? $modules : [] as $module) {
                if ($module->supply !== SupplyFrom::Adapter) {
                    continue;
                }
                yield new Finding(
                    $this->key(),
                    Severity::Fault,
                    "{$module->name} is fed by an adapter that {$node->name} does not have",
                    Subject::of($module, "{$node->name}, {$module->name}", 'supply'),
                    [],
                    'The plan says that a regulator adapter feeds it, and no such module is on the node.',
                    'Add the adapter, or feed the module from elsewhere.',
                    new Fix('Add a regulator adapter', Operation::add(new Module($plan->newId('adapter', $node->id), $node->id, 'regulator-adapter', 'Regulator', SupplyFrom::Board5V, 90))),
                );
            }
        }
    }
}
