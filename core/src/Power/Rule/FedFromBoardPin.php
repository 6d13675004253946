<?php

declare(strict_types=1);

namespace Rundfunk\Power\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\ModuleRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Module;
use Rundfunk\Power\At;
use Rundfunk\Power\Refeeding;
use Rundfunk\Power\SupplyTree;

/** A servo on the pin of the board that tells it where to go: as it stalls, the board starts anew. */
#[Finds('fed-from-board-pin', WorkStep::PinsAndPower)]
final readonly class FedFromBoardPin implements ModuleRule
{
    public function check(Module $module, Look $look): iterable
    {
        $class = $look->catalogue->classOf($module);
        $tree = SupplyTree::in($look);
        $supply = $tree->feeding($module);
        $pin = $class->ownSupply && $supply !== null ? $tree->boardPinAbove($supply) : null;
        if ($pin === null) {
            return [];
        }

        return [Finding::fault(
            "{$module->name} lives on the {$pin->name} of its board",
            At::module($look, $module, 'supplyId'),
            'It starts with '.Figures::significant($class->peakMa).' mA within a millisecond, and gives some of it back when it stops. The board\'s pin dips and jumps with it: the board starts anew, or its memory is no longer what it was.',
            'A supply of its own, with a common ground.',
            Refeeding::fix($look, $module),
            numbers: ['peak_ma' => $class->peakMa],
        )];
    }
}
