<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\RouteRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\RouteNames;

/** A pulse that is over before the relay has moved. */
#[Finds('pulse-too-short', WorkStep::Routes)]
final readonly class PulseTooShort implements RouteRule
{
    public function check(Route $route, Look $look): iterable
    {
        $output = $look->plan->output($route->outputId);
        if ($route->action !== Action::Pulse || $route->pulseMs === null || $output->moduleId === null) {
            return [];
        }
        $class = $look->catalogue->classOf($look->plan->module($output->moduleId));
        $least = (int) ceil(2 * $class->switchWorstMs);
        if ($route->pulseMs >= $least) {
            return [];
        }

        return [Finding::warning(
            "{$output->name} may not move in {$route->pulseMs} ms",
            Spot::of($route, RouteNames::of($look->plan, $route), 'pulseMs'),
            "A contact of this class takes up to {$class->switchWorstMs} ms to close and as long to open: a pulse of {$route->pulseMs} ms may be over before anything has happened.",
            "Make it {$least} ms at least.",
            Fix::change("Make it {$least} ms", $route, ['pulseMs' => $least]),
            numbers: ['pulse_ms' => $route->pulseMs, 'switch_ms' => $class->switchWorstMs],
        )];
    }
}
