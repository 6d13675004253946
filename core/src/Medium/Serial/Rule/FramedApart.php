<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Serial\Bought\Forms;
use Rundfunk\Medium\Serial\SerialLine;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Protocol;
use Rundfunk\Plan\Spot;

/** Devices on one line whose frames begin and end otherwise, or are checked otherwise: nobody can tell whose a byte is. */
#[Finds('serial-framed-apart', WorkStep::Links)]
final readonly class FramedApart implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $byFraming = [];
        foreach (SerialLine::of($look->plan, $link)->protocols as $protocol) {
            $byFraming[Forms::apart($protocol)] ??= $protocol;
        }
        if (count($byFraming) > 1) {
            [$one, $other] = array_values($byFraming);
            yield Finding::fault(
                "{$one->name} and {$other->name} cannot share {$link->name}",
                Spot::of($link, $link->name, 'topology'),
                'Their frames begin, end or are checked otherwise: what is meant for the one may be anything to the other.',
                'A line for each kind of device.',
                numbers: ['kinds' => count($byFraming)],
                about: [$link->id, ...array_map(static fn (Protocol $each): string => $each->id, array_values($byFraming))],
            );
        }
    }
}
