<?php

declare(strict_types=1);

namespace Rundfunk\Power\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\SupplyRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Spot;
use Rundfunk\Plan\Supply;
use Rundfunk\Power\At;
use Rundfunk\Power\Refeeding;
use Rundfunk\Power\Take;
use Rundfunk\Power\Verdicts;

/** More current is drawn from a supply than it can give: above all by an amplified radio from a weak 3.3 V pin. */
#[Finds('weak-rail', WorkStep::PinsAndPower)]
final readonly class WeakRail implements SupplyRule
{
    public function check(Supply $supply, Look $look): iterable
    {
        $verdicts = Verdicts::in($look);
        $tree = $verdicts->tree;
        $limitMa = $tree->limitMa($supply);
        $peakMa = $tree->load($supply)->peakMa;
        if ($limitMa === null || ! $verdicts->isOverloaded($supply)) {
            return [];
        }
        $takes = $tree->takes($supply);
        usort($takes, static fn (Take $a, Take $b): int => $b->load->peakMa <=> $a->load->peakMa);
        $worst = $takes[0];
        $node = $look->plan->node($supply->nodeId);
        $rail = $tree->rail($supply);
        $fed = $worst->by instanceof Module && $look->catalogue->classOf($worst->by)->isFed() ? $worst->by : null;
        $isAmplified = $fed !== null && $look->catalogue->classOf($fed)->amplified();

        return [Finding::fault(
            $rail === null ? "More is asked of {$supply->name} than it gives" : "{$worst->name} asks more of the ".Figures::significant($rail->volts).' V pin than it gives',
            $fed !== null ? Spot::of($fed, "{$node->name}, {$worst->name}", 'supplyId') : At::supply($look, $supply),
            'Peaks of '.Figures::significant($peakMa).' mA hang on '.($rail === null ? 'a supply' : 'a pin').' good for '.Figures::significant($limitMa).' mA: '
                .implode(', ', array_map(static fn (Take $take): string => "{$take->name} ".Figures::significant($take->load->peakMa), array_slice($takes, 0, 5))).'. '
                .($isAmplified ? 'The radio seems to work at arm\'s length and fails or resets when it sends at full power.' : 'The voltage dips and the board resets.'),
            'Feed what asks most from a regulator or a supply of its own, with a common ground.',
            Refeeding::relief($look, $supply),
            numbers: ['peak_ma' => round($peakMa, 3), 'limit_ma' => $limitMa, ...($rail === null ? [] : ['rail_v' => $rail->volts])],
            about: $rail === null ? [$supply->id] : [$node->id, $rail->name],
        )];
    }
}
