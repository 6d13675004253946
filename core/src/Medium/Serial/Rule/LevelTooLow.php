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

/** The high of one board is not enough for another. */
#[Finds('serial-level-too-low', WorkStep::PinsAndPower)]
final readonly class LevelTooLow implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $line = SerialLine::of($look->plan, $link);
        foreach (SerialPairs::of($look, $link) as [$speaker, $listener]) {
            $wire = SerialWire::on($line, $speaker, $listener, $look);
            if ($wire === null || ! $wire->isTooLow()) {
                continue;
            }
            $arrives = Figures::significant((float) $wire->leastArrivesV());
            $wants = Figures::significant($wire->takesV());
            yield Finding::fault(
                "{$arrives} V of {$wire->speaker->node->name} are no certain high for {$wire->listener->node->name}, which wants {$wants}",
                $listener->at(),
                'On paper it is not enough: it works on the bench and fails in the cold, or with a longer wire.',
                'A level shifter between the two.',
                SerialParts::fix($look, $link, $wire),
                numbers: ['arrives_v' => round((float) $wire->leastArrivesV(), 3), 'wants_v' => $wire->takesV()],
                // The one way is another wire than the other.
                about: [$speaker->endpoint->id, $listener->node->id],
            );
        }
    }
}
