<?php

declare(strict_types=1);

namespace Rundfunk\Power;

use Rundfunk\Catalogue\BoardInput;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Supply;
use Rundfunk\Power\Levels\PartsFor;

/** The one-click changes that put a supply right: always what Assign would choose. */
final readonly class Refeeding
{
    public static function fix(Look $look, Module $module): ?Fix
    {
        $node = $look->plan->node($module->nodeId);
        $island = Island::around($look->plan, $node);
        $choice = $island === null ? null : Feeding::best($island, $look->catalogue, $module);
        if ($island === null || $choice === null) {
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
        if ($island === null) {
            return null;
        }
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
            if (! (new Verdicts(new SupplyTree($island->plan, $look->catalogue)))->isOverloaded($supply)) {
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
        $modules = array_merge(...array_map($tree->fedBy(...), $tree->withAllBelow($supply)));
        usort($modules, static fn (Module $a, Module $b): int => $tree->loadOf($b)->peakMa <=> $tree->loadOf($a)->peakMa);

        return $modules;
    }

    /** What it says on the button. */
    private static function label(Look $look, FeedChoice $choice): string
    {
        if (! $choice->bought) {
            return "Feed {$choice->module->name} from {$choice->supply->name}";
        }

        return 'Add a '.implode(' and a ', array_map(static fn (Supply $supply): string => $look->catalogue->supplyClassOf($supply)->name, $choice->toBuy($look->catalogue)));
    }

    /** The first supply of the node on which a regulator is sound. */
    public static function parent(Look $look, Supply $supply): ?Fix
    {
        $node = $look->plan->node($supply->nodeId);
        $island = Island::around($look->plan, $node);
        if ($island === null) {
            return null;
        }
        foreach ($island->plan->suppliesOf($node) as $parent) {
            $draft = $island->plan->draft();
            $fed = $draft->change($supply, ['parentId' => $parent->id]);
            if ($parent->id !== $supply->id && self::isSoundBelow($island->plan, $draft->plan(), $look, $fed)) {
                return Fix::change("Feed {$supply->name} from {$parent->name}", $supply, ['parentId' => $parent->id]);
            }
        }

        return null;
    }

    /** It and all that lives on it are what they should be, and feed no board with what it was not made for; what hangs beside it is as well as it was. */
    private static function isSoundBelow(Plan $before, Plan $plan, Look $look, Supply $top): bool
    {
        $verdicts = new Verdicts(new SupplyTree($plan, $look->catalogue));
        $tree = $verdicts->tree;
        if (Feeding::spoilsOthers(new Verdicts(new SupplyTree($before, $look->catalogue)), $verdicts, $top, $look->catalogue)) {
            return false;
        }
        foreach ($tree->withAllBelow($top) as $supply) {
            $input = $tree->board($supply)?->input($tree->feedsAt($supply));
            if (! $verdicts->isSound($supply) || ($input !== null && $tree->volts($supply) !== null && ! $tree->fits($supply, $input))) {
                return false;
            }
            foreach ($tree->fedBy($supply) as $module) {
                if (! Feeding::suits($plan, $look->catalogue, $module)) {
                    return false;
                }
            }
        }

        return true;
    }

    /** The cheapest supply on which the board and all that hangs on its pins is sound. */
    public static function board(Look $look, Node $node): ?Fix
    {
        $island = Island::around($look->plan, $node);
        $choice = $island === null ? null : BoardFeeding::best($island, $look->catalogue, $node);

        return $choice === null ? null : new Fix("Feed it from {$choice->words($look->catalogue)}", ...$choice->operations());
    }

    /** The input of the board that is made for what a supply gives, and at which nothing that was well fed is so no more. */
    public static function input(Look $look, Supply $supply): ?BoardInput
    {
        $node = $look->plan->node($supply->nodeId);
        $island = Island::around($look->plan, $node);
        if ($island === null) {
            return null;
        }
        foreach ($look->board($node)->inputs ?? [] as $input) {
            $draft = $island->plan->draft();
            $fed = $draft->change($supply, ['feedsAt' => $input->at->value]);
            if (BoardFeeding::feedsWell($island->plan, $draft->plan(), $look->catalogue, $node, $fed, $input)) {
                return $input;
            }
        }

        return null;
    }
}
