<?php

declare(strict_types=1);

namespace Rundfunk\Power\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\SupplyRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Load;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Supply;
use Rundfunk\Power\At;
use Rundfunk\Power\Island;
use Rundfunk\Power\SupplyTree;
use Rundfunk\Power\Verdicts;

/** One pin of a board that stands in the plan as two, so that its load is never summed. */
#[Finds('rail-twice', WorkStep::PinsAndPower)]
final readonly class RailTwice implements SupplyRule
{
    public function check(Supply $supply, Look $look): iterable
    {
        $tree = SupplyTree::in($look);
        $node = $look->plan->node($supply->nodeId);
        if (! $tree->classOf($supply)->isBoardPin()) {
            return [];
        }
        foreach ($look->plan->suppliesOf($node) as $first) {
            if ($first->class !== $supply->class || $first->id === $supply->id) {
                if ($first->id === $supply->id) {
                    return [];
                }

                continue;
            }

            return [Finding::warning(
                "{$supply->name} and {$first->name} of {$node->name} are one pin",
                At::supply($look, $supply, 'class'),
                'What hangs on the pin is in two sums, and neither is the whole.',
                'Hang all of it on one.',
                self::merged($look, $supply, $first),
                about: [$supply->id],
            )];
        }

        return [];
    }

    /** All that hangs on the one goes to the other; null where the pin does not bear it all, which then is to be said first. */
    private static function merged(Look $look, Supply $supply, Supply $first): ?Fix
    {
        $island = Island::around($look->plan, $look->plan->node($supply->nodeId));
        if ($island === null) {
            return null;
        }
        $draft = $island->plan->draft();
        $operations = [];
        foreach ([[Module::class, 'supplyId'], [Module::class, 'signalSupplyId'], [Load::class, 'supplyId'], [Supply::class, 'parentId']] as [$class, $field]) {
            foreach ($look->plan->having($class, $field, $supply->id) as $thing) {
                $operations[] = Operation::change($class::kind(), $thing->id(), [$field => $first->id]);
                $draft->change($draft->find($class::kind(), $thing->id()) ?? $thing, [$field => $first->id]);
            }
        }
        // All else bears the same before and after.
        $after = new Verdicts(new SupplyTree($draft->plan(), $look->catalogue));

        return ! $after->isOverloaded($first) || Verdicts::in($look)->isOverloaded($first)
            ? new Fix("Hang all of it on {$first->name}", ...[...$operations, Operation::remove(Supply::kind(), $supply->id)])
            : null;
    }
}
