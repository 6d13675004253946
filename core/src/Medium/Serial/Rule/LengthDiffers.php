<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Cables\Laid;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Serial\SerialCables;
use Rundfunk\Medium\Serial\SerialSettings;
use Rundfunk\Medium\Serial\Topology;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** A line that is said to be shorter than the cables that it runs in. */
#[Finds('serial-length-differs', WorkStep::Links)]
final readonly class LengthDiffers implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $settings = SerialSettings::of($link);
        $stretches = Laid::metres($look->plan, $link, new SerialCables);
        // Around a ring each stretch begins anew.
        $atLeastM = $settings->topology === Topology::Ring ? max([0.0, ...$stretches]) : array_sum($stretches);
        if ($atLeastM <= 0.0 || ($settings->lengthM !== null && $settings->lengthM >= $atLeastM - 0.05)) {
            return [];
        }

        return [Finding::warning(
            "{$link->name} runs in ".Figures::significant($atLeastM).' m of cable'.($settings->lengthM === null ? '' : ' and is said to be '.Figures::significant($settings->lengthM)),
            Spot::of($link, $link->name, 'lengthM'),
            'How fast it may be, and whether it wants its ends closed, is judged by its length.',
            $settings->topology === Topology::Ring ? 'The length of its longest stretch at least.' : 'The length of all its stretches together at least.',
            Fix::settings('Make it '.Figures::significant(round($atLeastM, 1)).' m', $link, ['lengthM' => round($atLeastM, 2)]),
            numbers: ['cables_m' => round($atLeastM, 2), 'length_m' => $settings->lengthM],
            about: [$link->id],
        )];
    }
}
