<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Serial\SerialSettings;
use Rundfunk\Medium\Serial\Topology;
use Rundfunk\Plan\Sleep;
use Rundfunk\Plan\Spot;

/** A board that sleeps on a line whose boxes wait for each other. */
#[Finds('serial-sleeps', WorkStep::Nodes)]
final readonly class Sleeps implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $topology = SerialSettings::of($end->link)->topology;
        if ($topology === Topology::Pair || ! $end->node->sleeps()) {
            return [];
        }

        return [Finding::fault(
            $topology === Topology::Ring ? "{$end->node->name} sleeps, and {$end->link->name} goes through it" : "{$end->node->name} sleeps, and does not answer on {$end->link->name}",
            Spot::of($end->node, $end->node->name, 'sleep'),
            $topology === Topology::Ring ? 'Each hands on to the next: while one sleeps, those behind it hear nothing.' : 'Nobody speaks there unasked: one that sleeps hears no question, and says nothing; the asker takes it for dead.',
            'Let it stay awake.',
            Fix::change('It stays awake', $end->node, ['sleep' => Sleep::Never->value]),
            about: [$end->endpoint->id],
        )];
    }
}
