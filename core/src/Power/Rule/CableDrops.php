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
use Rundfunk\Power\Verdicts;

/** A cable that loses more of the voltage than it should. Common practice: a twentieth. */
#[Finds('cable-drops', WorkStep::PinsAndPower)]
final readonly class CableDrops implements SupplyRule
{
    public function check(Supply $supply, Look $look): iterable
    {
        $verdicts = Verdicts::in($look);
        $tree = $verdicts->tree;
        $dropV = $tree->cableDropV($supply);
        $volts = $tree->volts($supply);
        if ($volts === null || $supply->cableM === null || $supply->cableMm2 === null || ! $verdicts->losesVolts($supply)) {
            return [];
        }
        $enough = Cores::enough($dropV, $supply->cableMm2, Verdicts::CABLE_SHARE * $volts->nominalV, $tree->load($supply)->heldMa);
        $peak = Figures::significant($tree->load($supply)->peakMa);

        return [Finding::warning(
            "The cable of {$supply->name} loses ".Figures::significant($dropV).' V',
            At::supply($look, $supply, 'cableMm2'),
            "{$peak} mA go there and back through ".Figures::significant($supply->cableM).' m of '.Figures::significant($supply->cableMm2).' mm².',
            'Thicker cores, a shorter way, or more volts and a regulator at the far end.',
            $enough === null ? null : Fix::change('Take '.Figures::significant($enough).' mm²', $supply, ['cableMm2' => $enough]),
            numbers: ['drop_v' => round($dropV, 3), 'peak_ma' => $tree->load($supply)->peakMa],
        )];
    }
}
