<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Spot;

/** An output that goes off between two of the messages that hold it. */
#[Finds('silence-too-short', WorkStep::Routes)]
final readonly class SilenceTooShort implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        $silence = Watched::canBe($output) ? $output->setting('silenceMs') : 0;
        if ($silence === 0 || $output->comesOnUnheard()) {
            return [];
        }
        foreach ($look->plan->routesTo($output) as $route) {
            $control = $look->plan->control($route->controlId);
            $repeat = Watched::toldEveryMs($look, $route, $control);
            if ($control->nodeId === $output->nodeId || ! $route->holdsToControl() || $repeat === 0 || $silence >= 2 * $repeat) {
                continue;
            }

            yield Finding::fault(
                "{$output->name} goes off while {$control->name} holds it",
                Spot::of($output, "{$output->name} of {$look->plan->node($output->nodeId)->name}", 'silenceMs'),
                "It goes off when nothing is heard for {$silence} ms, and {$control->name} tells that it is held every {$repeat} ms: one message that is lost, or a little late, and it drops out.",
                'Let it wait for at least two that are missed; three is common practice.',
                Fix::settings('Wait '.(3 * $repeat + 50).' ms', $output, ['silenceMs' => 3 * $repeat + 50]),
                numbers: ['silence_ms' => $silence, 'repeat_ms' => $repeat],
                about: [$output->id, $route->id],
            );
        }
    }
}
