<?php

declare(strict_types=1);

namespace Rundfunk\Power;

use Rundfunk\Catalogue\BoardInput;
use Rundfunk\Catalogue\SupplyClass;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Supply;
use Rundfunk\Power\Levels\PartsFor;
use Rundfunk\Shape\Values;

/** The one-click changes that put a supply right: always what Assign would choose. */
final readonly class Refeeding
{
    public static function fix(Look $look, Module $module): ?Fix
    {
        $node = $look->plan->node($module->nodeId);
        $island = Island::around($look->plan, $node);
        $choice = Feeding::best($island, $look->catalogue, $module);
        if ($choice === null) {
            return null;
        }

        return new Fix(self::label($look, $choice), ...$choice->operations(), ...PartsFor::fed($look, $node, $choice->in($island->plan), [$module]));
    }

    /**
     * Takes one thing after another off an overloaded supply, what asks most first, until it bears the rest.
     *
     * @return Fix|null null where that is not done by feeding its modules otherwise
     */
    public static function relief(Look $look, Supply $supply): ?Fix
    {
        $island = Island::around($look->plan, $look->plan->node($supply->nodeId));
        $operations = [];
        $moved = [];
        foreach (self::below(new SupplyTree($island->plan, $look->catalogue), $supply) as $module) {
            $choice = Feeding::best($island, $look->catalogue, $module);
            if ($choice === null) {
                continue;
            }
            $operations = [...$operations, ...$choice->operations()];
            $moved[] = $choice;
            $island = $island->with($choice->in($island->plan));
            if (! (new SupplyTree($island->plan, $look->catalogue))->isOverloaded($supply)) {
                $label = count($moved) > 1 ? 'Feed '.count($moved).' modules otherwise' : self::label($look, $choice);
                $modules = array_map(static fn (FeedChoice $one): Module => $one->module, $moved);

                return new Fix($label, ...$operations, ...PartsFor::fed($look, $look->plan->node($supply->nodeId), $island->plan, $modules));
            }
        }

        return null;
    }

    /** @return list<Module> that live on it, by way of others too, what asks most first */
    private static function below(SupplyTree $tree, Supply $supply): array
    {
        $modules = [];
        $waiting = [$supply];
        $seen = [];
        while (($one = array_pop($waiting)) !== null) {
            if (isset($seen[$one->id])) {
                continue;
            }
            $seen[$one->id] = true;
            foreach ($tree->takes($one) as $take) {
                if ($take->by instanceof Module) {
                    $modules[] = $take->by;
                } elseif ($take->by instanceof Supply) {
                    $waiting[] = $take->by;
                }
            }
        }
        usort($modules, static fn (Module $a, Module $b): int => $tree->moduleClass($b)->peakMa <=> $tree->moduleClass($a)->peakMa);

        return $modules;
    }

    /** What it says on the button. */
    private static function label(Look $look, FeedChoice $choice): string
    {
        if (! $choice->bought) {
            return "Feed {$choice->module->name} from {$choice->supply->name}";
        }
        $classes = array_map($look->catalogue->supplyClassOf(...), $choice->added);

        return 'Add a '.implode(' and a ', array_map(static fn (SupplyClass $class): string => $class->name, array_filter($classes, static fn (SupplyClass $class): bool => ! $class->isBoardPin())));
    }

    /** The first supply of the node on which a regulator is sound. */
    public static function parent(Look $look, Supply $supply): ?Fix
    {
        $node = $look->plan->node($supply->nodeId);
        $island = Island::around($look->plan, $node);
        foreach ($island->plan->suppliesOf($node) as $parent) {
            $draft = $island->plan->draft();
            $fed = Supply::from(new Values([...$supply->values(), 'parentId' => $parent->id]));
            $draft->put($fed);
            if ($parent->id !== $supply->id && (new SupplyTree($draft->plan(), $look->catalogue))->isSound($fed) && self::isSoundBelow($draft->plan(), $look, $fed)) {
                return Fix::change("Feed {$supply->name} from {$parent->name}", $supply, ['parentId' => $parent->id]);
            }
        }

        return null;
    }

    /** It and all that lives on it are what they should be, and feed no board with what it was not made for. */
    private static function isSoundBelow(Plan $plan, Look $look, Supply $top): bool
    {
        $tree = new SupplyTree($plan, $look->catalogue);
        $seen = [];
        $waiting = [$top];
        while (($supply = array_pop($waiting)) !== null) {
            if (isset($seen[$supply->id])) {
                continue;
            }
            $seen[$supply->id] = true;
            $input = $supply->feedsAt === null ? null : $tree->board($supply)?->input($supply->feedsAt);
            $volts = $tree->volts($supply);
            if (! $tree->isSound($supply) || ($input !== null && $volts !== null && ($volts->isAbove($input->maxV) || $volts->isBelow($input->minV)))) {
                return false;
            }
            foreach ($tree->takes($supply) as $take) {
                if ($take->by instanceof Module && ! Feeding::suits($plan, $look->catalogue, $take->by)) {
                    return false;
                }
            }
            $waiting = [...$waiting, ...$tree->children($supply)];
        }

        return true;
    }

    /** The cheapest supply on which the board and all that hangs on its pins is sound. */
    public static function board(Look $look, Node $node): ?Fix
    {
        $choice = BoardFeeding::best(Island::around($look->plan, $node), $look->catalogue, $node);

        return $choice === null ? null : new Fix("Feed it from {$choice->words($look->catalogue)}", ...$choice->operations());
    }

    /** The input of the board that is made for what a supply gives, and at which nothing that was well fed is so no more. */
    public static function input(Look $look, Supply $supply): ?BoardInput
    {
        $node = $look->plan->node($supply->nodeId);
        $island = Island::around($look->plan, $node);
        foreach ($look->board($node)->inputs ?? [] as $input) {
            $draft = $island->plan->draft();
            $fed = Supply::from(new Values([...$supply->values(), 'feedsAt' => $input->at->value]));
            $draft->put($fed);
            $plan = $draft->plan();
            $tree = new SupplyTree($plan, $look->catalogue);
            $volts = $tree->volts($fed);
            if ($volts !== null && ! $volts->isAbove($input->maxV) && ! $volts->isBelow($input->minV) && $tree->isSound($fed) && ! $tree->brownsOut($fed) && Feeding::unsuited($island->plan, $plan, $look->catalogue, $node) === []) {
                return $input;
            }
        }

        return null;
    }
}
