<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Behaviour\Answers;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\RouteRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\RouteNames;

/** A state that works the very output it is the state of. */
#[Finds('state-circles', WorkStep::Routes)]
final readonly class StateCircles implements RouteRule
{
    public function check(Route $route, Look $look): iterable
    {
        $control = $look->plan->control($route->controlId);
        if ($control->kind !== ControlKind::State || Answers::of($look->plan, $control)?->id !== $route->outputId) {
            return [];
        }
        $output = $look->plan->output($route->outputId);

        return [Finding::fault(
            "{$output->name} is worked by its own state",
            Spot::of($route, RouteNames::of($look->plan, $route)),
            "What {$control->name} says is what {$output->name} stands at: it holds itself where it is, and whoever puts it off is overruled.",
            'Let the state work something that shows it: a lamp, a display, a message.',
            Fix::remove('Remove the route', $route),
        )];
    }
}
