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
use Rundfunk\Routes\RouteNames;

/** On or off is asked of something that has places, and neither of them is off. */
#[Finds('switching-impossible', WorkStep::Routes)]
final readonly class SwitchingImpossible implements RouteRule
{
    public function check(Route $route, Look $look): iterable
    {
        $output = $look->plan->output($route->outputId);
        if ($route->action->takesValue() || $output->kind->switches()) {
            return [];
        }
        $sets = in_array(Action::Set, $look->plan->control($route->controlId)->kind->actions(), true);
        $value = $output->span()?->nearest(0) ?? 0;

        return [Finding::fault(
            "{$output->name} cannot \"".RouteNames::asks($route).'"',
            Spot::of($route, RouteNames::of($look->plan, $route), 'action'),
            "A {$output->kind->words()} goes to a place and holds it; it has no on and no off.",
            $sets ? 'Say to which value it goes.' : 'Route it from something that gives values.',
            $sets ? Fix::change("Set it to {$value}", $route, ['action' => Action::Set->value, 'value' => $value, 'pulseMs' => null]) : null,
            numbers: ['action' => $route->action->value, 'output' => $output->kind->value],
        )];
    }
}
