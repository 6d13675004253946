<?php

declare(strict_types=1);

namespace Rundfunk\Power\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\SupplyRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Supply;
use Rundfunk\Power\At;
use Rundfunk\Power\BatteryHours;
use Rundfunk\Power\SupplyTree;

/** A battery that does not last a day what hangs on it, and that nothing charges. */
#[Finds('battery-soon-empty', WorkStep::PinsAndPower)]
final readonly class BatterySoonEmpty implements SupplyRule
{
    public function check(Supply $supply, Look $look): iterable
    {
        $tree = SupplyTree::in($look);
        if ($tree->classOf($supply)->cell === null) {
            return [];
        }
        $life = BatteryHours::of($look->plan, $look->catalogue, $tree, $supply);
        $days = $life?->daysLow();
        if ($life === null || $days === null || $days >= BatteryHours::LEAST_DAYS || self::isCharged($supply, $look, $tree)) {
            return [];
        }
        $node = $look->plan->node($supply->nodeId);

        return [Finding::advice(
            "{$node->name} empties {$supply->name} in ".BatteryHours::words($life),
            At::supply($look, $supply, 'class'),
            Figures::significant($life->averageMa()).' mA on average from '.Figures::significant($life->capacityMah)." mAh: {$node->name} {$node->sleep->words()}. Nobody notices that it is off.",
            $node->sleeps() ? 'A larger one, less that stays on while it sleeps, or a supply from the mains.' : 'Let it sleep, if what it does allows it; a switch, a larger one, or a supply from the mains.',
            numbers: ['average_ma' => round($life->averageMa(), 3), 'days' => round($days, 3)],
        )];
    }

    /** The board lives on something else as well: then the battery is there for when that fails. */
    private static function isCharged(Supply $battery, Look $look, SupplyTree $tree): bool
    {
        foreach ($look->plan->suppliesOf($look->plan->node($battery->nodeId)) as $other) {
            if ($other->id !== $battery->id && $other->feedsAt !== null && ! in_array($battery->id, array_column($tree->above($other), 'id'), true)) {
                return true;
            }
        }

        return false;
    }
}
