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

/** A supply that sags below what the board starts again at, when everything is at its peak at once. */
#[Finds('board-browns-out', WorkStep::PinsAndPower)]
final readonly class BrownOut implements SupplyRule
{
    public function check(Supply $supply, Look $look): iterable
    {
        $verdicts = Verdicts::in($look);
        $tree = $verdicts->tree;
        $board = $tree->board($supply);
        $leftV = $verdicts->leftAtBoardV($supply);
        // Said of one that was never made for the input as well: whoever mends the one is not to be told of the other only then.
        if ($board === null || $leftV === null || ! $verdicts->brownsOut($supply)) {
            return [];
        }
        $ownOhm = $supply->sourceOhm ?? $tree->classOf($supply)->sourceOhm;
        $leastV = $board->own->brownOutV;
        $node = $look->plan->node($supply->nodeId);

        return [Finding::fault(
            "{$node->name} sags to ".Figures::significant($leftV).' V when everything draws at once, and starts again below '.Figures::significant($leastV),
            At::supply($look, $supply),
            Figures::significant($tree->load($supply)->peakMa).' mA through '.Figures::significant($ownOhm).' Ω leave no more. It looks like bad code: the board starts anew whenever it sends.',
            'A stiffer supply, shorter and thicker wires, or a supply of its own for what draws most.',
            numbers: ['left_v' => round($leftV, 3), 'least_v' => $leastV],
        )];
    }
}
