<?php

declare(strict_types=1);

namespace Rundfunk\Pins\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\ModuleRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Spot;
use Rundfunk\Power\Feeding;
use Rundfunk\Power\Refeeding;
use Rundfunk\Power\SupplyTree;

/** An expander at another voltage than its board: its pins give that, and what is on them was compared with the board's. */
#[Finds('expander-fed-otherwise', WorkStep::PinsAndPower)]
final readonly class ExpanderFedOtherwise implements ModuleRule
{
    public function check(Module $module, Look $look): iterable
    {
        $node = $look->plan->node($module->nodeId);
        $board = $look->board($node);
        $volts = SupplyTree::in($look)->voltsOf($module)?->nominalV;
        if ($board === null || $volts === null || ! $look->catalogue->classOf($module)->isExpander() || abs($volts - $board->logicV) <= Feeding::LIKE_LOGIC_V) {
            return [];
        }

        return [Finding::fault(
            "The pins of {$module->name} give ".Figures::significant($volts).' V, those of its board '.Figures::significant($board->logicV),
            Spot::of($module, "{$node->name}, {$module->name}", 'supplyId'),
            'What hangs on its pins is planned as if it hung on the board\'s. At another voltage a relay may not let go, or an input be given more than it stands.',
            'Feed it with the '.Figures::significant($board->logicV).' V that the board\'s logic has.',
            Refeeding::fix($look, $module),
            numbers: ['pins_v' => $volts, 'logic_v' => $board->logicV],
        )];
    }
}
