<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Serial\SerialLine;
use Rundfunk\Medium\Serial\SerialPairs;
use Rundfunk\Medium\Serial\SerialParts;
use Rundfunk\Medium\Serial\SerialWire;
use Rundfunk\Plan\Link;

/** The high of one board is more than another stands. */
#[Finds('serial-level-too-high', WorkStep::PinsAndPower)]
final readonly class LevelTooHigh implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $line = SerialLine::of($look->plan, $link);
        foreach (SerialPairs::of($look, $link) as [$speaker, $listener]) {
            $wire = SerialWire::on($line, $speaker, $listener, $look);
            if ($wire === null || ! $wire->isTooHigh()) {
                continue;
            }
            $arrives = Figures::significant((float) $wire->arrivesV());
            $stands = Figures::significant($wire->mostV());
            yield Finding::fault(
                "{$arrives} V of {$wire->speaker->node->name} go into {$wire->listener->node->name}, which stands {$stands}",
                $listener->at(),
                'It works for a while, and the pin is lost later.',
                'A divider before the lower board hears, or a level shifter.',
                SerialParts::fix($look, $link, $wire),
                numbers: ['arrives_v' => round((float) $wire->arrivesV(), 3), 'most_v' => $wire->mostV()],
                // The one way is another wire than the other.
                about: [$speaker->endpoint->id, $listener->node->id],
            );
        }
    }
}
