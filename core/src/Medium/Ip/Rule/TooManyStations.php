<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Plan;

/** More nodes on a board's own access point than it takes. */
final readonly class TooManyStations extends IpRule implements LooksNearby
{
    /** Common practice: four on small Wi-Fi boards, unless told otherwise. */
    private const STATIONS = 4;

    public function key(): string
    {
        return 'ip-too-many-stations';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (self::links($plan) as ['link' => $link, 'settings' => $settings]) {
            $stations = count($plan->endpointsOn($link)) - 1;
            if (! $settings->ownAccessPoint || $stations <= self::STATIONS) {
                continue;
            }
            yield new Finding(
                $this->key(),
                Severity::Warning,
                "{$stations} nodes are on the access point of {$link->name}, and a small board takes ".self::STATIONS,
                Subject::of($link, $link->name, 'network'),
                ['stations' => $stations, 'most' => self::STATIONS],
                'The fifth is turned away without a word, and which is the fifth changes with every power cut.',
                'Use the house\'s network, or let a computer be the access point.',
                self::setLink($link, 'Use the house\'s network', ['network' => 'house']),
            );
        }
    }
}
