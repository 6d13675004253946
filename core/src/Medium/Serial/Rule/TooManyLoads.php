<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Serial\Levels;
use Rundfunk\Medium\Serial\SerialSettings;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** More receivers on a twisted pair than a driver moves. */
#[Finds('serial-too-many-loads', WorkStep::Links)]
final readonly class TooManyLoads implements LinkRule
{
    /** TIA/EIA-485-A. */
    private const MOST = 32;

    public function check(Link $link, Look $look): iterable
    {
        if (SerialSettings::of($link)->levels !== Levels::Rs485) {
            return;
        }
        $loads = 0.0;
        foreach ($look->plan->endpointsOn($link) as $endpoint) {
            $figure = $look->end($endpoint)->class->figures['unitLoads'] ?? 1.0;
            $loads += is_numeric($figure) ? (float) $figure : 1.0;
        }
        if ($loads > self::MOST) {
            yield Finding::fault(
                Figures::significant($loads)." unit loads on {$link->name}, where a driver moves ".self::MOST,
                Spot::of($link, $link->name, 'levels'),
                'With so many the difference of the wires is too small to be read.',
                'Transceivers of an eighth of a unit load, or a repeater after 32.',
                numbers: ['unit_loads' => $loads, 'most' => self::MOST],
                about: [$link->id],
            );
        }
    }
}
