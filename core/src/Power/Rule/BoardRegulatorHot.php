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
use Rundfunk\Power\Verdicts;

/** A board that is fed before its regulator, which makes heat of all that is more than five volts. */
#[Finds('board-regulator-hot', WorkStep::PinsAndPower)]
final readonly class BoardRegulatorHot implements SupplyRule
{
    public function check(Supply $supply, Look $look): iterable
    {
        $verdicts = Verdicts::in($look);
        if (! $verdicts->isBoardTooHot($supply)) {
            return [];
        }
        $node = $look->plan->node($supply->nodeId);
        $heatW = $verdicts->boardHeatW($supply);
        $heldMa = $verdicts->tree->throughBoard($supply)->heldMa;

        return [Finding::fault(
            "The regulator of {$node->name} sheds ".Figures::significant($heatW).' W and stands about '.Figures::significant(Verdicts::BOARD_W),
            At::supply($look, $supply),
            "{$supply->name} feeds it at VIN, and ".Figures::significant($heldMa).' mA go through the board while all that can be on is on: it turns all above five volts into heat, switches itself off, comes back, and switches off again.',
            'Five volts from a buck regulator at its 5V pin, or what takes most on a supply beside the board.',
            numbers: ['heat_w' => round($heatW, 3), 'most_w' => Verdicts::BOARD_W],
            about: [$supply->id, $node->id],
        )];
    }
}
