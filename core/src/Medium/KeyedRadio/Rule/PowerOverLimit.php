<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Medium\KeyedRadio\KeyedRadio;
use Rundfunk\Plan\Plan;

final readonly class PowerOverLimit extends KeyedRule implements LooksNearby
{
    public function key(): string
    {
        return 'keyed-power-over-limit';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        $region = $knowledge->catalogue->regionOf($plan);
        foreach (self::links($plan) as ['link' => $link, 'settings' => $settings]) {
            foreach ($region->bandsOf(KeyedRadio::KEY) as $band) {
                if (! $band->holds($settings->freqMhz()) || $settings->powerDbm <= $band->maxEirpDbm) {
                    continue;
                }
                $limit = (int) floor($band->maxEirpDbm);
                yield new Finding(
                    $this->key(),
                    Severity::Advice,
                    "{$link->name} sends with more than {$band->maxEirpDbm} dBm",
                    Subject::of($link, $link->name, 'powerDbm'),
                    ['power_dbm' => $settings->powerDbm, 'limit_dbm' => $band->maxEirpDbm],
                    "{$settings->powerDbm} dBm, where {$region->name} allows about {$band->maxEirpDbm} dBm e.i.r.p. there ({$band->rule}; {$region->asOf}).",
                    'Feed the transmitter from a lower voltage, or shorten its antenna. Check your own country\'s rules.',
                    self::setLink($link, "Plan for {$limit} dBm", ['powerDbm' => $limit]),
                );
            }
        }
    }
}
