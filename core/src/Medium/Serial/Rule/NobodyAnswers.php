<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Serial\Bought\Meant;
use Rundfunk\Medium\Serial\Bought\Tables;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Output;

/**
 * A device that is told and never answers: off, unplugged or deaf, it looks as when all is well. Readings say that it is there, and
 * not that a command came: of what can hurt, that is found all the same.
 */
#[Finds('serial-nobody-answers', WorkStep::Links)]
final readonly class NobodyAnswers implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $protocol = $end->node->speaks() === null ? null : $look->plan->protocol($end->node->speaks());
        $hops = $look->plan->hopsTo($end->endpoint);
        if ($protocol === null || $hops === []) {
            return;
        }
        $unanswered = array_values(array_filter(
            array_map(static fn (Hop $hop): Output => $look->plan->output($look->plan->route($hop->routeId)->outputId), $hops),
            static fn (Output $output): bool => Meant::itemOf($output, $protocol)?->isAnswered() !== true,
        ));
        $hazard = null;
        foreach ($unanswered as $output) {
            $hazard ??= $output->hazards === [] ? null : $output->name;
        }
        $isHeard = count($unanswered) < count($hops) || Tables::readings($look->plan, $end->endpoint, $protocol) !== [];
        if ($hazard !== null) {
            yield Finding::warning(
                "Nobody knows whether {$end->node->name} hears what it is told of {$hazard}",
                $end->at(),
                "A click on the line can end a command, and it is told once: {$hazard} can hurt, and nobody sees that it goes on.".($isHeard ? '' : ' Off, unplugged or deaf the device looks as when all is well.'),
                'Take a command that its manual says is answered, if there is one; and let a switch of its own stop what it moves, whatever the line says.',
                numbers: ['told' => count($hops)],
            );
        } elseif (! $isHeard) {
            yield Finding::advice(
                "Nobody knows whether {$end->node->name} hears what it is told",
                $end->at(),
                'Nothing that it is told is answered, and nothing is asked of it: off, unplugged or deaf it looks as when all is well.',
                'Ask it for a reading now and then, if it has one: that it answers says that it is there.',
                numbers: ['told' => count($hops)],
            );
        }
    }
}
