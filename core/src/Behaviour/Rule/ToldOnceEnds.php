<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Behaviour\Silence;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\RouteRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Spot;

/** An output that is put on once from another node, and goes off again before anybody has had any of it. */
#[Finds('told-once-ends', WorkStep::Routes)]
final readonly class ToldOnceEnds implements RouteRule
{
    /** Below that nobody means it to end by itself. Common practice. */
    private const SHORT_MS = 60_000;

    /** What is told once may last so long without being heard of. Common practice. */
    private const LONG_MS = 1_800_000;

    public function check(Route $route, Look $look): iterable
    {
        $output = $look->plan->output($route->outputId);
        $control = $look->plan->control($route->controlId);
        $silence = Watched::canBe($output) ? $output->setting('silenceMs') : 0;
        $puts = in_array($route->action, [Action::On, Action::Toggle, Action::Step], true) || ($route->action === Action::Set && $route->value !== null);
        if ($silence === 0 || $output->comesOnUnheard() || $silence >= self::SHORT_MS || ! $puts || $control->nodeId === $output->nodeId || Silence::isFetched($look, $control, $output)) {
            return [];
        }

        return [Finding::fault(
            "{$output->name} goes off {$silence} ms after {$control->name} has put it on",
            Spot::of($output, "{$output->name} of {$look->plan->node($output->nodeId)->name}", 'silenceMs'),
            "It goes off when it hears nothing for {$silence} ms, and {$control->name} says once that it is to be on.",
            'Let it wait for as long as it may be on, or let a pulse or a held key put it on.',
            Fix::settings('Wait half an hour', $output, ['silenceMs' => self::LONG_MS]),
            numbers: ['silence_ms' => $silence],
            about: [$output->id, $route->id],
        )];
    }
}
