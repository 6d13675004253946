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
        $before = new Wiring($look->plan, $look->catalogue, SupplyTree::in($look));
        $after = new Wiring($fed, $look->catalogue, new SupplyTree($fed, $look->catalogue));
        $operations = [];
        foreach (Wire::firsts($look->wiresOf($node)) as $wire) {
            if (in_array($wire->module->id, $ids, true) && ! self::isWrong($before, $wire)) {
                $now = $fed->module($wire->module->id);
                $operations = [...$operations, ...self::of($look->plan, $after, new Wire($wire->node, $wire->board, $now, $wire->terminal, $wire->use, $wire->pin))];
            }
        }

        return $operations;
    }

    /**
     * For terminals that get a pin.
     *
     * @param  list<PinUse>  $uses
     * @return list<Operation>
     */
    public static function wired(Look $look, array $uses): array
    {
        $wiring = new Wiring($look->plan, $look->catalogue, SupplyTree::in($look));
        $operations = [];
        foreach ($uses as $use) {
            $module = $look->plan->module($use->moduleId);
            $node = $look->plan->node($module->nodeId);
            $board = $look->board($node);
            $terminal = $look->catalogue->classOf($module)->terminal($use->terminal);
            if ($board !== null && $terminal !== null) {
                $operations = [...$operations, ...self::of($look->plan, $wiring, new Wire($node, $board, $module, $terminal, $use, $board->pin($use->pin)))];
            }
        }

        return $operations;
    }

    /** @return list<Operation> */
    private static function of(Plan $plan, Wiring $wiring, Wire $wire): array
    {
        $levels = $wiring->levels($wire);
        $ohms = $wiring->missingPullUpOhm($wire);

        return [
            ...($levels !== null && $levels->isWrong() ? LevelParts::fitting($plan, $levels)->operations : []),
            ...($ohms === null ? [] : LevelParts::pullUp($plan, $wire->module->id, $wire->terminal->name, $ohms)->operations),
        ];
    }

    private static function isWrong(Wiring $wiring, Wire $wire): bool
    {
        return $wiring->levels($wire)?->isWrong() === true || $wiring->missingPullUpOhm($wire) !== null;
    }
}
