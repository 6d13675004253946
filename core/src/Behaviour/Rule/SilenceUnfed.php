<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\RouteRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Spot;

/** An output that wants to hear again and again of what holds it, and hears once. */
#[Finds('silence-unfed', WorkStep::Routes)]
final readonly class SilenceUnfed implements RouteRule
{
    public function check(Route $route, Look $look): iterable
    {
        $output = $look->plan->output($route->outputId);
        $control = $look->plan->control($route->controlId);
        $silence = Watched::canBe($output) ? $output->setting('silenceMs') : 0;
        if ($silence === 0 || $output->comesOnUnheard() || $control->nodeId === $output->nodeId || ! $route->holdsToControl() || Watched::toldEveryMs($look, $route, $control) > 0) {
            return [];
        }
        $repeat = max(20, intdiv($silence - 50, 3));

        return [Finding::fault(
            "{$output->name} goes off {$silence} ms after {$control->name} was worked, held or not",
            Spot::of($control, "{$look->plan->node($control->nodeId)->name}, {$control->name}", 'repeatMs'),
            "{$output->name} goes off when it hears nothing for {$silence} ms, and {$control->name} says once that it is held.",
            'Let the control tell it again, at least three times as often.',
            Watched::canRepeat($control) ? Fix::settings("Tell it again every {$repeat} ms", $control, ['repeatMs' => $repeat]) : Fix::settings('Let it wait for ever', $output, ['silenceMs' => 0]),
            numbers: ['silence_ms' => $silence],
        )];
    }
}
