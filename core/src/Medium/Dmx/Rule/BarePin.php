<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;

/** A pin of a board straight into a lamp. */
#[Finds('dmx-bare-pin', WorkStep::Links)]
final readonly class BarePin implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        if (! isset($end->class->figures['bare'])) {
            return [];
        }

        return [Finding::fault(
            "A pin of {$end->node->name} goes straight into a lamp of {$end->link->name}",
            $end->at('moduleId'),
            'A lamp compares two wires, and a pin drives one: what it reads depends on the cable. The lamps\' supplies meet the board over the ground: a fault in one, or a hand on its plug, goes through the pin. A driver bears -7 to 12 V and sparks, a pin does not.',
            'A line driver between them; an isolated one where lamps hang on other circuits than the board.',
            numbers: [],
            about: [$end->endpoint->id],
        )];
    }
}
