<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Can\Can;
use Rundfunk\Medium\Can\CanBus;
use Rundfunk\Medium\Can\CanSettings;
use Rundfunk\Medium\Can\Trial;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** A cable that is longer than a bit has time for. */
#[Finds('can-bus-too-long', WorkStep::Links)]
final readonly class BusTooLong implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $settings = $link->medium === Can::KEY ? CanSettings::of($link) : null;
        if ($settings?->lengthM === null || $settings->lengthM <= $settings->reachM()) {
            return [];
        }
        $bus = CanBus::of($look->plan, $link);
        $slower = null;
        foreach ([500_000, 250_000, 125_000, 50_000, 20_000, 10_000] as $rate) {
            $slower ??= $rate < $settings->bitrate && Trial::suits($look, $bus, $rate) ? $rate : null;
        }

        return [Finding::fault(
            Figures::significant($settings->lengthM)." m at {$settings->bitrate} bit/s: it reaches ".Figures::significant($settings->reachM()),
            Spot::of($link, $link->name, 'lengthM'),
            'Within one bit an edge has to get to the far end and back, for everybody acknowledges and gives way bit by bit.',
            $settings->foreign ? 'Its makers chose both: measure again.' : 'Take a lower rate at every end, or a shorter way.',
            $slower === null || $settings->foreign ? null : Fix::change("Set {$slower} bit/s", $link, ['settings' => ['bitrate' => $slower]]),
            numbers: ['length_m' => $settings->lengthM, 'reach_m' => round($settings->reachM(), 1)],
            about: [$link->id],
        )];
    }
}
