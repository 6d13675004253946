<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio\Rule;

use Rundfunk\Catalogue\Band;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\KeyedRadio\KeyedRadio;
use Rundfunk\Medium\KeyedRadio\KeyedSettings;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

#[Finds('keyed-outside-band', WorkStep::Links)]
final readonly class OutsideBand implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $region = $look->catalogue->regionOf($look->plan);
        $bands = $region->bandsOf(KeyedRadio::KEY);
        $settings = KeyedSettings::of($link);
        $holding = array_filter($bands, static fn (Band $band): bool => $band->holds($settings->freqMhz()));
        if ($bands === [] || $holding !== []) {
            return [];
        }
        $free = implode(' and ', array_map(static fn (Band $band): string => "{$band->fromMhz}–{$band->toMhz} MHz", $bands));
        $legal = array_values(array_filter([433_920, 868_350, 315_000], static fn (int $khz): bool => array_filter($bands, static fn (Band $band): bool => $band->holds($khz / 1000)) !== []));

        return [Finding::fault(
            Figures::significant($settings->freqMhz())." MHz is not free to use in {$region->name}",
            Spot::of($link, $link->name, 'freqKhz'),
            "Free for such parts are {$free} ({$region->asOf}). Others own what lies beyond. Check your own country's rules.",
            'Buy the parts for a frequency that is free where you live.',
            $legal === [] ? null : Fix::settings('Plan for '.Figures::significant($legal[0] / 1000).' MHz', $link, ['freqKhz' => $legal[0]]),
            numbers: ['freq_mhz' => $settings->freqMhz()],
        )];
    }
}
