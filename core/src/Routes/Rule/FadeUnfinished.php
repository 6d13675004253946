<?php

declare(strict_types=1);

namespace Rundfunk\Routes\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\RouteRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\Fading;
use Rundfunk\Routes\RouteNames;

/** A pulse that ends before its fade has arrived. */
#[Finds('fade-unfinished', WorkStep::Routes)]
final readonly class FadeUnfinished implements RouteRule
{
    /** In less than this nobody sees a fade. Common practice. */
    private const SEEN_MS = 100;

    public function check(Route $route, Look $look): iterable
    {
        $pulseMs = $route->pulseMs ?? 0;
        if ($route->action !== Action::Pulse || $route->fadeMs <= $pulseMs || Fading::isMade($look, $route) !== true) {
            return [];
        }
        $output = $look->plan->output($route->outputId);
        $half = intdiv($pulseMs, 2) < self::SEEN_MS ? 0 : intdiv($pulseMs, 2);
        $share = intdiv(100 * $pulseMs, $route->fadeMs);

        return [Finding::warning(
            "{$output->name} of {$look->plan->node($output->nodeId)->name} never gets there: its pulse ends at {$share} % of the fade",
            Spot::of($route, RouteNames::of($look->plan, $route), 'fadeMs'),
            "It goes up for {$route->fadeMs} ms and is told to go back after {$pulseMs}.",
            'Let the fade be shorter than the pulse.',
            Fix::change($half === 0 ? 'At once' : "Fade in {$half} ms", $route, ['fadeMs' => $half]),
            numbers: ['pulse_ms' => $pulseMs, 'fade_ms' => $route->fadeMs],
        )];
    }
}
