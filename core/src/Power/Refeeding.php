<?php

declare(strict_types=1);

namespace Rundfunk\Power;

use Rundfunk\Catalogue\Board;
use Rundfunk\Catalogue\BoardInput;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Supply;
use Rundfunk\Shape\Values;

/** The one-click changes that put a supply right: always what Assign would choose. */
final readonly class Refeeding
{
    public static function fix(Look $look, Module $module): ?Fix
    {
        $choice = Feeding::best(Island::around($look->plan, $look->plan->node($module->nodeId)), $look->catalogue, $module);
        if ($choice === null) {
            return null;
        }
        $names = array_map(static fn (Supply $supply): string => $look->catalogue->supplyClassOf($supply)->name, array_filter($choice->added, static fn (Supply $supply): bool => ! $look->catalogue->supplyClassOf($supply)->isBoardPin()));

        return new Fix($choice->bought ? 'Add a '.implode(' and a ', $names) : "Feed {$module->name} from {$choice->supply->name}", ...$choice->operations());
    }

    /**
     * Takes the first thing off an overloaded supply whose going makes it sound.
     *
     * @param  list<Take>  $takes  what asks most first
     */
    public static function relief(Look $look, array $takes): ?Fix
    {
        foreach ($takes as $take) {
            $fix = $take->by instanceof Module ? self::fix($look, $take->by) : null;
            if ($fix !== null) {
                return $fix;
            }
        }

        return null;
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
            if ($parent->id !== $supply->id && (new SupplyTree($draft->plan(), $look->catalogue))->isSound($fed)) {
                return Fix::change("Feed {$supply->name} from {$parent->name}", $supply, ['parentId' => $parent->id]);
            }
        }

        return null;
    }

    /** The cheapest supply on which the board and all that hangs on its pins is sound. */
    public static function board(Look $look, Node $node): ?Fix
    {
        $choice = BoardFeeding::best(Island::around($look->plan, $node), $look->catalogue, $node);

        return $choice === null ? null : new Fix("Feed it from {$choice->words($look->catalogue)}", ...$choice->operations());
    }

    /** The input of a board that is made for a voltage. */
    public static function input(Board $board, ?Volts $volts): ?BoardInput
    {
        foreach ($board->inputs as $input) {
            if (self::fits($input, $volts)) {
                return $input;
            }
        }

        return null;
    }

    private static function fits(BoardInput $input, ?Volts $volts): bool
    {
        return $volts !== null && ! $volts->isAbove($input->maxV) && ! $volts->isBelow($input->minV);
    }
}
