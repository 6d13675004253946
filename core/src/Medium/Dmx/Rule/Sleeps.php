<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Sleep;
use Rundfunk\Plan\Spot;

/** A board on a universe that is asleep now and then. */
#[Finds('dmx-sleeps', WorkStep::Nodes)]
final readonly class Sleeps implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        if (! $end->node->sleeps()) {
            return [];
        }
        $sends = $end->endpoint->role->sends();

        return [Finding::fault(
            $sends ? "{$end->node->name} tells {$end->link->name}, and sleeps" : "{$end->node->name} obeys {$end->link->name}, and sleeps",
            Spot::of($end->node, $end->node->name, 'sleep'),
            $sends ? 'Slots are sent again and again, or after a second every lamp takes its data for lost.' : 'Packets come again and again and wait for nobody: what is sent while it sleeps is missed, and so is that data stopped.',
            'Let it stay awake.',
            Fix::change('It stays awake', $end->node, ['sleep' => Sleep::Never->value]),
            about: [$end->endpoint->id],
        )];
    }
}
