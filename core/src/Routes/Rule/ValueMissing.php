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

/** A key that sets something, and nobody has said to what. */
#[Finds('value-missing', WorkStep::Routes)]
final readonly class ValueMissing implements RouteRule
{
    public function check(Route $route, Look $look): iterable
    {
        $output = $look->plan->output($route->outputId);
        $control = $look->plan->control($route->controlId);
        if (! $route->action->takesValue() || $route->value !== null || ! $output->kind->takesValues() || $control->saysValue()) {
            return [];
        }
        $step = $route->action === Action::Step;
        // The least that can happen: a stop, or the lowest there is.
        $value = $step ? 1 : ($output->span()?->nearest(0) ?? 0);

        return [Finding::fault(
            $step ? 'A step has no direction yet' : 'A set has no value yet',
            Spot::of($route, RouteNames::of($look->plan, $route), 'value'),
            "A {$control->kind->words()} says that it was worked and nothing more: the value must be in the plan.",
            $step ? 'Say how far: +1 is one up, -1 one down.' : 'Give it a value.',
            Fix::change($step ? 'One up' : "Set {$value}", $route, ['value' => $value]),
            numbers: ['action' => $route->action->value],
        )];
    }
}
