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
use Rundfunk\Medium\Serial\Trial;
use Rundfunk\Plan\Role;

/** A node that cannot answer, or cannot hand on. */
#[Finds('serial-one-way', WorkStep::Links)]
final readonly class OneWay implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $settings = SerialSettings::of($end->link);
        if ($end->endpoint->role === Role::Both) {
            return [];
        }
        $deaf = ! $end->endpoint->role->receives();

        return [Finding::fault(
            match ($settings->topology) {
                Topology::Ring => "The ring ends at {$end->node->name}, which ".($deaf ? 'hears nothing' : 'says nothing'),
                Topology::Polled => $deaf ? "{$end->node->name} cannot be asked: it hears nothing" : "{$end->node->name} is asked and cannot answer",
                Topology::Pair => $deaf ? "{$end->node->name} hears no answer" : "{$end->node->name} hears and cannot answer",
            },
            $end->at('role'),
            $settings->topology === Topology::Ring ? 'In a ring each hands on what is for others.' : 'Each question is answered, so that whoever asks knows that it came; a missed answer costs all of them the time to wait for it.',
            'Let it send and receive.',
            Trial::offered($look, $end->link, Fix::change('Let it do both', $end->endpoint, ['role' => Role::Both->value])),
            numbers: ['role' => $end->endpoint->role->value],
        )];
    }
}
