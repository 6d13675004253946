<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\RouteRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Spot;
use Rundfunk\Shape\Values;

/** A reading that keeps on what can hurt for a least time, whatever it reads meanwhile. */
#[Finds('kept-on-beyond', WorkStep::Routes)]
final readonly class KeptOnBeyond implements RouteRule
{
    public function check(Route $route, Look $look): iterable
    {
        $control = $look->plan->control($route->controlId);
        $output = $look->plan->output($route->outputId);
        $least = $control->kind === ControlKind::Reading ? (new Values($control->settings))->whole('leastOnS') : 0;
        $hazard = $output->proofHazards()[0] ?? null;
        if ($least === 0 || $hazard === null || ! $route->action->holds()) {
            return [];
        }

        return [Finding::warning(
            "{$output->name} stays on for {$least} s, whatever {$control->name} reads",
            Spot::of($control, "{$look->plan->node($control->nodeId)->name}, {$control->name}", 'leastOnS'),
            "Once it is on it is kept on for that long, and {$hazard->words()}.",
            'A least time belongs to what is harmed by being switched often; where being on can hurt, use a wider hysteresis.',
            Fix::settings('No least time', $control, ['leastOnS' => 0]),
            numbers: ['least_on_s' => $least],
            about: [$route->id, $control->id],
        )];
    }
}
