<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Infrared\IrEmitter;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;

/** Several of our own emitters in one room, sending when each sees fit. */
#[Finds('ir-emitters-together', WorkStep::Links)]
final readonly class EmittersTogether extends InfraredRule implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $emitters = array_filter($look->plan->endpointsOn($link), static fn (Endpoint $endpoint): bool => IrEmitter::of($look->plan, $endpoint, $look->catalogue) !== null);
        $ends = array_map($look->end(...), array_values($emitters));
        if (count($ends) < 2) {
            return [];
        }

        return [Finding::advice(
            "{$ends[0]->node->name} and {$ends[1]->node->name} both send in {$link->name}",
            $ends[1]->at(),
            'One carrier, one room: two frames at once garble each other, and neither sender knows.',
            'Let one of them do all the sending in this room, or make sure that nothing works both at once.',
            numbers: ['emitters' => count($ends)],
            about: array_map(static fn (End $end): string => $end->endpoint->id, $ends),
        )];
    }
}
