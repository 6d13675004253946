<?php

declare(strict_types=1);

namespace Rundfunk\Power\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\SupplyRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Supply;
use Rundfunk\Power\At;
use Rundfunk\Power\Cores;
use Rundfunk\Power\Fuses;
use Rundfunk\Power\Verdicts;

/** A cable behind a supply that gets hot of what flows in it for hours, however short it is. */
#[Finds('supply-cable-burns', WorkStep::PinsAndPower)]
final readonly class CableBurns implements SupplyRule
{
    public function check(Supply $supply, Look $look): iterable
    {
        $verdicts = Verdicts::in($look);
        if ($supply->cableMm2 === null || ! $verdicts->isCableTooThin($supply)) {
            return [];
        }
        $tree = $verdicts->tree;
        $heldMa = $tree->load($supply)->heldMa;
        $volts = $tree->volts($supply);
        $enough = Cores::enough($tree->cableDropV($supply), $supply->cableMm2, $volts === null ? INF : Verdicts::CABLE_SHARE * $volts->nominalV, $heldMa);
        $core = Figures::significant($supply->cableMm2);
        $bears = Figures::significant(Fuses::cordA($supply->cableMm2));

        return [Finding::fault(
            "The cable of {$supply->name} gets hot",
            At::supply($look, $supply, 'cableMm2'),
            'While all that can be on is on, '.Figures::significant($heldMa / 1000)." A flow through {$core} mm², which bear {$bears} A. Its insulation goes soft, and then the cores touch.",
            'Thicker cores, and a fuse by what they bear.',
            $enough === null ? null : Fix::change('Take '.Figures::significant($enough).' mm²', $supply, ['cableMm2' => $enough]),
            numbers: ['held_ma' => round($heldMa, 3), 'cable_a' => Fuses::cordA($supply->cableMm2)],
        )];
    }
}
