<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Behaviour\Silence;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Spot;

/** An output that comes on when nobody is heard, and nobody says often enough that it is to be off. */
#[Finds('comes-on-unasked', WorkStep::Routes)]
final readonly class ComesOnUnasked implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        if (! Watched::canBe($output) || ! $output->comesOnUnheard()) {
            return [];
        }
        $silence = $output->setting('silenceMs');
        $soonest = 0;
        $told = false;
        foreach ($look->plan->routesTo($output) as $route) {
            $control = $look->plan->control($route->controlId);
            if ($control->nodeId === $output->nodeId || Silence::isFetched($look, $control, $output)) {
                continue;
            }
            $told = true;
            $every = Watched::carriesLetGo($look, $route, $control) ? Watched::toldEveryMs($look, $route, $control) : 0;
            $soonest = $every > 0 && ($soonest === 0 || $every < $soonest) ? $every : $soonest;
        }
        // What nobody tells from elsewhere, nobody's silence puts on.
        if (! $told || ($soonest > 0 && $silence >= 2 * $soonest)) {
            return [];
        }
        $wait = min(3_600_000, 3 * $soonest + 50);

        return [Finding::fault(
            "{$output->name} comes on though nothing is lost",
            Spot::of($output, "{$output->name} of {$look->plan->node($output->nodeId)->name}", 'silenceMs'),
            "It comes on when nothing is heard for {$silence} ms, and ".($soonest > 0 ? "what it is to be is said every {$soonest} ms: one message that is lost, and it comes on." : 'no control says again and again what it is to be, held or not.'),
            'Let what holds it say so at least three times as often; a key of a toy, or a call, cannot.',
            $soonest > 0 ? Fix::settings("Wait {$wait} ms", $output, ['silenceMs' => $wait]) : Fix::settings('Let it stay as it was told', $output, ['silenceOn' => false, 'silenceMs' => 0]),
            numbers: ['silence_ms' => $silence, 'repeat_ms' => $soonest],
        )];
    }
}
