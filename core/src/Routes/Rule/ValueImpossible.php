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
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\RouteNames;

/** A value is asked of something that is only on or off. */
#[Finds('value-impossible', WorkStep::Routes)]
final readonly class ValueImpossible implements RouteRule
{
    public function check(Route $route, Look $look): iterable
    {
        $output = $look->plan->output($route->outputId);
        $control = $look->plan->control($route->controlId);
        if (! $route->action->takesValue() || $output->kind->takesValues() || ! in_array($route->action, $control->kind->actions(), true)) {
            return [];
        }
        // A control with nothing but values to give has nothing to say to such an output.
        $fitting = array_values(array_filter($control->kind->actions(), static fn (Action $action): bool => ! $action->takesValue()))[0] ?? null;

        return [Finding::fault(
            "{$output->name} cannot \"".RouteNames::asks($route).'"',
            Spot::of($route, RouteNames::of($look->plan, $route), 'action'),
            $output->kind === OutputKind::Message ? 'A message is sent or not; there is no more or less of it.' : "A {$output->kind->value} is on or off; there is nothing between.",
            $fitting === null ? 'Route it to something that takes values, or compare it with a threshold and let that switch.' : 'Let it switch.',
            $fitting === null ? null : Fix::change("Make it {$fitting->value}", $route, [
                'action' => $fitting->value, 'value' => null, 'pulseMs' => $fitting === Action::Pulse ? 1_000 : null,
            ]),
            numbers: ['action' => $route->action->value, 'output' => $output->kind->value],
        )];
    }
}
