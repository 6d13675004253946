<?php

declare(strict_types=1);

namespace Rundfunk\Power\Levels;

use Rundfunk\Check\Look;
use Rundfunk\Check\Wire;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\PinUse;
use Rundfunk\Plan\Plan;
use Rundfunk\Power\Burst;
use Rundfunk\Power\SupplyTree;

/** The discrete parts that a change of wires or supplies makes necessary: they come with the change. */
final readonly class PartsFor
{
    /**
     * For modules that are fed otherwise.
     *
     * @param  Plan  $fed  the supplies and modules of the node, as they are to be
     * @param  list<Module>  $modules
     * @return list<Operation>
     */
    public static function fed(Look $look, Node $node, Plan $fed, array $modules): array
    {
        $ids = array_column($modules, 'id');
        $before = Wiring::in($look);
        $after = new Wiring($fed, $look->catalogue, new SupplyTree($fed, $look->catalogue));
        $operations = [];
        foreach (Wire::firsts($look->wiresOf($node)) as $wire) {
            if (in_array($wire->module->id, $ids, true)) {
                $now = new Wire($wire->node, $wire->board, $fed->module($wire->module->id), $wire->terminal, $wire->use, $wire->pin);
                if ($after->partsAt($now) !== [] && (array_diff((new Misfits($after, $now))->all(), (new Misfits($before, $wire))->all()) !== [] || $after->levels($now)?->isWrongAnew($before->levels($wire)) === true)) {
                    array_push($operations, ...Mending::of($after, $now)->operations);

                    continue;
                }
                // What was wrong before has a finding of its own, with its own fix.
                $operations = [
                    ...$operations,
                    ...($after->levels($now)?->isWrongAnew($before->levels($wire)) === true ? self::fitting($look->plan, $after, $now) : []),
                    ...self::wanted($look->plan, $after, $now, array_column(Wanted::at($look->plan, $before, $wire), 'name')),
                ];
            }
        }

        return [...$operations, ...array_merge(...array_map(static fn (Module $module): array => self::capacitor($look, $fed, $module), $modules))];
    }

    /** @return list<Operation> the capacitor without which a module that draws in bursts makes what feeds it sag */
    private static function capacitor(Look $look, Plan $fed, Module $module): array
    {
        $leastV = $look->catalogue->classOf($module)->minV;
        $burst = Burst::of(new SupplyTree($fed, $look->catalogue), $fed->module($module->id));
        $sagged = Burst::of(SupplyTree::in($look), $module)?->sagsBelow($leastV) === true;
        $enoughUf = $burst?->sagsBelow($leastV) === true && ! $sagged ? $burst->enoughUf($leastV) : null;

        return $burst === null || $enoughUf === null ? [] : $burst->with($look->plan, $enoughUf);
    }

    /**
     * For terminals that get a pin.
     *
     * @param  list<PinUse>  $uses
     * @return list<Operation>
     */
    public static function wired(Look $look, array $uses): array
    {
        $wiring = Wiring::in($look);
        $operations = [];
        foreach ($uses as $use) {
            $module = $look->plan->module($use->moduleId);
            $node = $look->plan->node($module->nodeId);
            $board = $look->board($node);
            $terminal = $look->catalogue->classOf($module)->terminal($use->terminal);
            if ($board !== null && $terminal !== null) {
                $wire = new Wire($node, $board, $module, $terminal, $use, $board->pin($use->pin));
                $operations = [...$operations, ...Mending::of($wiring, $wire)->operations];
            }
        }

        return $operations;
    }

    /** @return list<Operation> */
    private static function fitting(Plan $plan, Wiring $wiring, Wire $wire): array
    {
        $levels = $wiring->levels($wire);

        return $levels !== null && $levels->isWrong() ? LevelParts::fitting($plan, $levels)->operations : [];
    }

    /**
     * @param  list<string>  $but  names of what was wanted before
     * @return list<Operation>
     */
    private static function wanted(Plan $plan, Wiring $wiring, Wire $wire, array $but): array
    {
        $new = array_filter(Wanted::at($plan, $wiring, $wire), static fn (Wanted $wanted): bool => ! in_array($wanted->name, $but, true));

        return array_merge(...array_map(static fn (Wanted $wanted): array => $wanted->parts->operations, array_values($new)));
    }
}
