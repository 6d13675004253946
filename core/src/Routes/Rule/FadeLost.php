<?php

declare(strict_types=1);

namespace Rundfunk\Routes\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\RouteRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\Fading;
use Rundfunk\Routes\RouteNames;

/** A fade to something that does not fade. */
#[Finds('fade-lost', WorkStep::Routes)]
final readonly class FadeLost implements RouteRule
{
    public function check(Route $route, Look $look): iterable
    {
        if ($route->fadeMs === 0 || Fading::isMade($look, $route) !== false) {
            return [];
        }
        $output = $look->plan->output($route->outputId);

        return [Finding::warning(
            "{$output->name} does not fade: it goes there at once",
            Spot::of($route, RouteNames::of($look->plan, $route), 'fadeMs'),
            'A fade is made by who keeps the slots of a universe. Whatever else is told a value takes it at once.',
            'Take the time away, or make it a sequence of steps.',
            Fix::change('At once', $route, ['fadeMs' => 0]),
            numbers: ['fade_ms' => $route->fadeMs],
        )];
    }
}
