<?php

declare(strict_types=1);

namespace Rundfunk\Power\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\SupplyRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Sleep;
use Rundfunk\Plan\Supply;
use Rundfunk\Power\At;
use Rundfunk\Power\SupplyTree;

/** A regulator that empties the battery while the node sleeps. */
#[Finds('regulator-drains', WorkStep::PinsAndPower)]
final readonly class RegulatorDrains implements SupplyRule
{
    /** Of it a cell of 2 Ah is empty in six weeks. Common practice. */
    private const MOST_MA = 2.0;

    public function check(Supply $supply, Look $look): iterable
    {
        $tree = SupplyTree::in($look);
        $node = $look->plan->node($supply->nodeId);
        $takes = $tree->classOf($supply)->takes;
        $battery = $node->sleep === Sleep::Never || $takes === null || $takes->quiescentMa <= self::MOST_MA ? null : $tree->battery($supply);
        if ($battery === null) {
            return [];
        }
        $own = Figures::significant($takes->quiescentMa);

        return [Finding::advice(
            "{$supply->name} takes {$own} mA from {$battery->name}, asleep or not",
            At::supply($look, $supply, 'class'),
            "{$node->name} sleeps, and its regulator does not: that is the battery's whole life.",
            'A low-drop regulator that takes microamperes for itself.',
            numbers: ['quiescent_ma' => $takes->quiescentMa],
        )];
    }
}
