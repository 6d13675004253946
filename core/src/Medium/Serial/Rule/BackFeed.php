<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Serial\SerialLine;
use Rundfunk\Medium\Serial\SerialPairs;
use Rundfunk\Medium\Serial\SerialWire;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Part;
use Rundfunk\Plan\PartKind;

/** A node that is off is fed by the line of one that is on. */
#[Finds('serial-back-feed', WorkStep::PinsAndPower)]
final readonly class BackFeed implements LinkRule
{
    /** Common practice. */
    private const OHM = 1_000.0;

    public function check(Link $link, Look $look): iterable
    {
        $said = [];
        $line = SerialLine::of($look->plan, $link);
        foreach (SerialPairs::of($look, $link) as [$speaker, $listener]) {
            $wire = SerialWire::on($line, $speaker, $listener, $look);
            $place = $wire?->place();
            // One resistor is enough for all that speak through it.
            if ($wire === null || $place === null || $wire->isHeldBack() || isset($said["{$place[0]->id} {$place[1]}"])) {
                continue;
            }
            [$module, $terminal] = $place;
            $said["{$module->id} {$terminal}"] = true;
            $part = new Part($look->plan->newId('part', $module->id, $terminal, PartKind::SeriesResistor->value), $module->id, $terminal, PartKind::SeriesResistor, self::OHM);
            yield Finding::advice(
                "{$speaker->node->name} feeds {$listener->node->name} through its serial line while that is off",
                $listener->at(),
                'A serial line is high while nobody speaks, and the input of a dead board passes that on to its supply: it half lives, and does not start when its own supply comes.',
                'A resistor in the wire holds the current back.',
                new Fix('Put '.Figures::ohms(self::OHM).' in it', Operation::add($part)),
                numbers: ['ohms' => self::OHM],
                about: [$listener->endpoint->id],
            );
        }
    }
}
