<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\KeyedRadio\KeyedRadio;
use Rundfunk\Medium\KeyedRadio\KeyedSettings;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

#[Finds('keyed-power-over-limit', WorkStep::Links)]
final readonly class PowerOverLimit implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $region = $look->catalogue->regionOf($look->plan);
        $settings = KeyedSettings::of($link);
        foreach ($region->bandsOf(KeyedRadio::KEY) as $band) {
            if (! $band->holds($settings->freqMhz()) || $settings->powerDbm <= $band->maxEirpDbm) {
                continue;
            }
            $limit = (int) floor($band->maxEirpDbm);
            yield Finding::advice(
                "{$link->name} sends with more than {$band->maxEirpDbm} dBm",
                Spot::of($link, $link->name, 'powerDbm'),
                "{$settings->powerDbm} dBm, where {$region->name} allows about {$band->maxEirpDbm} dBm e.i.r.p. there ({$band->rule}; {$region->asOf}).",
                'Feed the transmitter from a lower voltage, or shorten its antenna. Check your own country\'s rules.',
                Fix::settings("Plan for {$limit} dBm", $link, ['powerDbm' => $limit]),
                numbers: ['power_dbm' => $settings->powerDbm, 'limit_dbm' => $band->maxEirpDbm],
            );
        }
    }
}
