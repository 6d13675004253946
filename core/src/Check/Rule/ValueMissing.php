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
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

/** A key that sets something, and nobody has said to what. */
final readonly class ValueMissing implements LooksNearby
{
    public function key(): string
    {
        return 'value-missing';
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
            if (! $route->action->takesValue() || $route->value !== null || ! $output->kind->takesValues() || $control->saysValue()) {
                continue;
            }
            $step = $route->action === Action::Step;
            // The least that can happen: a stop, or the lowest there is.
            $value = $step ? 1 : ($output->span()?->nearest(0) ?? 0);
            yield new Finding(
                $this->key(),
                Severity::Fault,
                $step ? 'A step has no direction yet' : 'A set has no value yet',
                Subject::of($route, RouteNames::of($plan, $route), 'value'),
                ['action' => $route->action->value],
                "A {$control->kind->words()} says that it was worked and nothing more: the value must be in the plan.",
                $step ? 'Say how far: +1 is one up, -1 one down.' : 'Give it a value.',
                new Fix($step ? 'One up' : "Set {$value}", Operation::change(ThingKind::Route, $route->id, ['value' => $value])),
            );
        }
    }
}
