<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio\Rule;

use Rundfunk\Catalogue\Band;
use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Medium\KeyedRadio\KeyedRadio;
use Rundfunk\Plan\Plan;

final readonly class OutsideBand extends KeyedRule implements LooksNearby
{
    public function key(): string
    {
        return 'keyed-outside-band';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        $region = $knowledge->catalogue->regionOf($plan);
        $bands = $region->bandsOf(KeyedRadio::KEY);
        foreach (self::links($plan) as ['link' => $link, 'settings' => $settings]) {
            $holding = array_filter($bands, static fn (Band $band): bool => $band->holds($settings->freqMhz()));
            if ($bands === [] || $holding !== []) {
                continue;
            }
            $free = implode(' and ', array_map(static fn (Band $band): string => "{$band->fromMhz}–{$band->toMhz} MHz", $bands));
            $legal = array_values(array_filter([433_920, 868_350, 315_000], static fn (int $khz): bool => array_filter($bands, static fn (Band $band): bool => $band->holds($khz / 1000)) !== []));
            yield new Finding(
                $this->key(),
                Severity::Fault,
                Figures::significant($settings->freqMhz())." MHz is not free to use in {$region->name}",
                Subject::of($link, $link->name, 'freqKhz'),
                ['freq_mhz' => $settings->freqMhz()],
                "Free for such parts are {$free} ({$region->asOf}). Others own what lies beyond. Check your own country's rules.",
                'Buy the parts for a frequency that is free where you live.',
                $legal === [] ? null : self::setLink($link, 'Plan for '.Figures::significant($legal[0] / 1000).' MHz', ['freqKhz' => $legal[0]]),
            );
        }
    }
}
