<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Rule;

use Rundfunk\Cables\Laid;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Can\Can;
use Rundfunk\Medium\Can\CanCables;
use Rundfunk\Medium\Can\CanSettings;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** A bus that is said to be shorter than the cables that it runs in. */
#[Finds('can-length-differs', WorkStep::Links)]
final readonly class LengthDiffers implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        if ($link->medium !== Can::KEY) {
            return [];
        }
        $settings = CanSettings::of($link);
        $laidM = array_sum(Laid::metres($look->plan, $link, new CanCables));
        if ($laidM <= 0.0 || ($settings->lengthM !== null && $settings->lengthM >= $laidM - 0.05)) {
            return [];
        }
        $reaches = $laidM <= $settings->reachM();

        return [Finding::warning(
            "{$link->name} runs in ".Figures::significant($laidM).' m of cable'.($settings->lengthM === null ? '' : ' and is said to be '.Figures::significant($settings->lengthM)),
            Spot::of($link, $link->name, 'lengthM'),
            'How fast it may be is judged by its length.',
            'The length of all its stretches together at least.',
            // What does not reach is said first: at that rate it must not be so long.
            $reaches ? Fix::settings('Make it '.Figures::significant(round($laidM, 1)).' m', $link, ['lengthM' => round($laidM, 2)]) : null,
            numbers: ['cables_m' => round($laidM, 2), 'length_m' => $settings->lengthM],
            about: [$link->id],
        )];
    }
}
