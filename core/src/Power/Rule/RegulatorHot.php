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

/** A linear regulator that must shed more heat than its package can. */
#[Finds('regulator-hot', WorkStep::PinsAndPower)]
final readonly class RegulatorHot implements SupplyRule
{
    public function check(Supply $supply, Look $look): iterable
    {
        $verdicts = Verdicts::in($look);
        $tree = $verdicts->tree;
        $mostW = $tree->classOf($supply)->takes?->heatW;
        if ($mostW === null || ! $verdicts->isTooHot($supply)) {
            return [];
        }
        $heatW = $verdicts->heatW($supply);
        $held = Figures::significant($tree->load($supply)->heldMa);

        return [Finding::fault(
            "{$supply->name} sheds ".Figures::significant($heatW).' W and stands '.Figures::significant($mostW),
            At::supply($look, $supply),
            "It turns what is too much into heat, at {$held} mA while all that can be on is on. It switches itself off, comes back, and switches off again.",
            'A buck regulator, or less voltage at its input.',
            numbers: ['heat_w' => round($heatW, 3), 'most_w' => $mostW],
        )];
    }
}
