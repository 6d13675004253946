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
use Rundfunk\Routes\Fades;
use Rundfunk\Routes\RouteNames;

/** A fade to something that does not fade. */
#[Finds('fade-lost', WorkStep::Routes)]
final readonly class FadeLost implements RouteRule
{
    public function check(Route $route, Look $look): iterable
    {
        if ($route->fadeMs === 0) {
            return;
        }
        $output = $look->plan->output($route->outputId);
        $hops = $look->plan->hopsOf($route);
        $last = $hops[count($hops) - 1] ?? null;
        if ($last === null && $look->plan->control($route->controlId)->nodeId !== $output->nodeId) {
            // Nobody knows yet how it goes there.
            return;
        }
        $medium = $last === null ? null : $look->plan->link($last->linkId)->medium;
        if ($last !== null && $medium !== null && $look->media->offering(Fades::class, $medium)?->fades($look->plan, $last) === true) {
            return;
        }
        yield Finding::warning(
            "{$output->name} does not fade: it goes there at once",
            Spot::of($route, RouteNames::of($look->plan, $route), 'fadeMs'),
            'A fade is made by who keeps the slots of a universe. Whatever else is told a value takes it at once.',
            'Take the time away, or make it a sequence of steps.',
            Fix::change('At once', $route, ['fadeMs' => 0]),
            numbers: ['fade_ms' => $route->fadeMs],
        );
    }
}
