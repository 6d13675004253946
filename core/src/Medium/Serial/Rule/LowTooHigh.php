<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Serial\Returning;
use Rundfunk\Medium\Serial\SerialLine;
use Rundfunk\Medium\Serial\SerialPairs;
use Rundfunk\Medium\Serial\SerialWire;
use Rundfunk\Medium\Serial\Trial;
use Rundfunk\Plan\Link;

/** A low is lifted so far by a diode that it is none. */
#[Finds('serial-low-too-high', WorkStep::PinsAndPower)]
final readonly class LowTooHigh implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $line = SerialLine::of($look->plan, $link);
        foreach (SerialPairs::of($look, $link) as [$speaker, $listener]) {
            $wire = SerialWire::on($line, $speaker, $listener, $look);
            if ($wire === null || ! $wire->isLowTooHigh()) {
                continue;
            }
            $arrives = Figures::significant((float) $wire->lowArrivesV());
            $wants = Figures::significant($wire->takesLowV());
            yield Finding::fault(
                "A low of {$wire->speaker->node->name} comes as {$arrives} V, and {$wire->listener->node->name} takes {$wants} for low",
                $listener->at(),
                'The diode in its way lifts it.',
                'Schottky diodes, or let each box let go of its pin.',
                Trial::settings('Each lets go of its pin', $look, $link, ['returning' => Returning::LetGo->value]),
                numbers: ['arrives_v' => round((float) $wire->lowArrivesV(), 3), 'takes_v' => $wire->takesLowV()],
                // The one way is another wire than the other.
                about: [$speaker->endpoint->id, $listener->node->id],
            );
        }
    }
}
