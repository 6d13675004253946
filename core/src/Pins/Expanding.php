<?php

declare(strict_types=1);

namespace Rundfunk\Pins;

use Rundfunk\Knowledge;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;

/** The expanders that give a node's board the pins it lacks: tried on the matcher before they are named. */
final readonly class Expanding
{
    /** That may be bought, the cheapest first. */
    private const CLASSES = ['shift-register-8', 'expander-i2c-16'];

    /** Beyond these it wants a larger board. */
    private const MOST = 3;

    private const PREFIXES = ['X', 'Y', 'Z', 'W', 'V', 'U'];

    /**
     * @param  Plan  $plan  as it is
     * @param  Plan  $wanted  with all on channels that is to be on one
     * @return list<Module> those that leave the least without a pin, the fewest and cheapest first; none where none would help
     */
    public static function best(Plan $plan, Plan $wanted, Node $node, Knowledge $knowledge): array
    {
        $now = self::planned($wanted, $node, $knowledge);
        // What is slow may be on a pin that something quick is left over for: it can make room.
        if ($now === null || $now->unplaced === [] || array_filter([...$now->unplaced, ...array_column($now->placed, 'demand')], self::isSlow(...)) === []) {
            return [];
        }
        $best = [];
        $least = self::lacks($now);
        foreach (self::CLASSES as $class) {
            $tried = $wanted;
            $added = [];
            while (count($added) < self::MOST) {
                $module = self::another($tried, $node, $knowledge, $class);
                if ($module === null) {
                    break;
                }
                $draft = $tried->draft();
                $draft->put($module);
                $tried = $draft->plan();
                $added[] = $module;
                $planned = self::planned($tried, $node, $knowledge);
                if ($planned === null || self::isWithout($planned->unplaced, $added)) {
                    break;
                }
                if (self::lacks($planned) < $least && ! self::turnsOut($plan, $added, $node, $knowledge)) {
                    $best = $added;
                    $least = self::lacks($planned);
                }
                if ($planned->unplaced === []) {
                    break;
                }
            }
        }

        return $best;
    }

    /** @return Module|null null where no letter is left to call its pins by, or another would answer to the same address */
    private static function another(Plan $plan, Node $node, Knowledge $knowledge, string $class): ?Module
    {
        $catalogue = $knowledge->of($plan)->catalogue;
        $board = $catalogue->boardOf($node);
        $address = $catalogue->modules[$class]->i2cAddress;
        foreach ($plan->modulesOf($node) as $other) {
            if ($address !== null && $catalogue->classOf($other)->i2cAddress === $address) {
                return null;
            }
        }
        $count = count(array_filter($plan->modulesOf($node), static fn (Module $other): bool => $catalogue->classOf($other)->isExpander()));
        foreach (self::PREFIXES as $prefix) {
            if ($board?->pin("{$prefix}0") === null) {
                $name = ($address === null ? 'Shift register' : 'Expander').($count === 0 ? '' : ' '.($count + 1));

                return new Module($plan->newId('expander', $node->id, $class, $prefix), $node->id, $class, $name, order: 80 + $count, prefix: $prefix);
            }
        }

        return null;
    }

    private static function planned(Plan $plan, Node $node, Knowledge $knowledge): ?PinPlan
    {
        return (new PinPlanner($knowledge->of($plan)->catalogue))->plan($plan, $node);
    }

    /**
     * What has a pin without them would have none: a key without a channel is waiting, a radio without a pin is a fault.
     *
     * @param  list<Module>  $added
     */
    private static function turnsOut(Plan $plan, array $added, Node $node, Knowledge $knowledge): bool
    {
        $draft = $plan->draft();
        foreach ($added as $module) {
            $draft->put($module);
        }

        return count(self::planned($draft->plan(), $node, $knowledge)->unplaced ?? []) > count(self::planned($plan, $node, $knowledge)->unplaced ?? []);
    }

    /** What has no pin counts first; then what is on the console, which should be free. */
    private static function lacks(PinPlan $planned): int
    {
        return 1_000 * count($planned->unplaced) + count(array_filter($planned->placed, static fn (array $placed): bool => $placed['pin']->console));
    }

    private static function isSlow(Demand $demand): bool
    {
        return $demand->busLine === null && $demand->wants[0]['terminal']->isSlow();
    }

    /**
     * One of them has no pins itself.
     *
     * @param  list<Demand>  $left
     * @param  list<Module>  $added
     */
    private static function isWithout(array $left, array $added): bool
    {
        $ids = array_column($added, 'id');
        foreach ($left as $demand) {
            foreach ($demand->wants as ['module' => $module]) {
                if (in_array($module->id, $ids, true)) {
                    return true;
                }
            }
        }

        return false;
    }
}
