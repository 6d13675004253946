<?php

declare(strict_types=1);

namespace Rundfunk\Check\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Edit\Operation;
use Rundfunk\Knowledge;
use Rundfunk\Path\RouteNames;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

/** A value is asked of something that is only on or off. */
final readonly class ValueImpossible implements LooksNearby
{
    public function key(): string
    {
        return 'value-impossible';
    }

    public function reads(): array
    {
        return [ThingKind::Node, ThingKind::Control, ThingKind::Output, ThingKind::Route];
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->routes() as $route) {
            $output = $plan->output($route->outputId);
            $control = $plan->control($route->controlId);
            if (! $route->action->takesValue() || $output->kind->takesValues() || ! in_array($route->action, $control->kind->actions(), true)) {
                continue;
            }
            // A control with nothing but values to give has nothing to say to such an output.
            $fitting = array_values(array_filter($control->kind->actions(), static fn (Action $action): bool => ! $action->takesValue()))[0] ?? null;
            yield new Finding(
                $this->key(),
                Severity::Fault,
                "{$output->name} cannot \"".RouteNames::asks($route).'"',
                Subject::of($route, RouteNames::of($plan, $route), 'action'),
                ['action' => $route->action->value, 'output' => $output->kind->value],
                $output->kind === OutputKind::Message ? 'A message is sent or not; there is no more or less of it.' : "A {$output->kind->value} is on or off; there is nothing between.",
                $fitting === null ? 'Route it to something that takes values, or compare it with a threshold and let that switch.' : 'Let it switch.',
                $fitting === null ? null : new Fix("Make it {$fitting->value}", Operation::change(ThingKind::Route, $route->id, [
                    'action' => $fitting->value, 'value' => null, 'pulseMs' => $fitting === Action::Pulse ? 1_000 : null,
                ])),
            );
        }
    }
}
