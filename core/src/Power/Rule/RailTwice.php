<?php

declare(strict_types=1);

namespace Rundfunk\Power\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\SupplyRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Supply;
use Rundfunk\Power\At;
use Rundfunk\Power\SupplyTree;

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
            $moves = array_map(static fn (Module $module): Operation => Operation::change(Module::kind(), $module->id, ['supplyId' => $first->id]), $look->plan->having(Module::class, 'supplyId', $supply->id));
            $children = array_map(static fn (Supply $child): Operation => Operation::change(Supply::kind(), $child->id, ['parentId' => $first->id]), $look->plan->having(Supply::class, 'parentId', $supply->id));

            return [Finding::warning(
                "{$supply->name} and {$first->name} of {$node->name} are one pin",
                At::supply($look, $supply, 'class'),
                'What hangs on the pin is in two sums, and neither is the whole.',
                'Hang all of it on one.',
                new Fix("Hang all of it on {$first->name}", ...[...$moves, ...$children, Operation::remove(Supply::kind(), $supply->id)]),
                about: [$supply->id],
            )];
        }

        return [];
    }
}
