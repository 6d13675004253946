<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Ip\IpSettings;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** More nodes on a board's own access point than it takes. */
#[Finds('ip-too-many-stations', WorkStep::Links)]
final readonly class TooManyStations implements LinkRule
{
    /** Common practice: four on small Wi-Fi boards, unless told otherwise. */
    private const STATIONS = 4;

    public function check(Link $link, Look $look): iterable
    {
        $settings = IpSettings::of($link);
        $stations = count($look->plan->endpointsOn($link)) - 1;
        if (! $settings->ownAccessPoint || $stations <= self::STATIONS) {
            return [];
        }

        return [Finding::warning(
            "{$stations} nodes are on the access point of {$link->name}, and a small board takes ".self::STATIONS,
            Spot::of($link, $link->name, 'network'),
            'The fifth is turned away without a word, and which is the fifth changes with every power cut.',
            'Use the house\'s network, or let a computer be the access point.',
            Fix::settings('Use the house\'s network', $link, ['network' => 'house']),
            numbers: ['stations' => $stations, 'most' => self::STATIONS],
        )];
    }
}
