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
use Rundfunk\Plan\KeyCode;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Plan\ValueSpan;

/** A value that its output does not have, asked for by a route or given to a learned code. */
final readonly class ValueOutside implements LooksNearby
{
    public function key(): string
    {
        return 'value-outside';
    }

    public function reads(): array
    {
        return [ThingKind::Node, ThingKind::Control, ThingKind::Output, ThingKind::Route, ThingKind::KeyCode];
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->outputs() as $output) {
            $span = $output->span();
            if ($span === null) {
                continue;
            }
            foreach ($plan->routesTo($output) as $route) {
                if ($route->action === Action::Set && $route->value !== null && ! $span->holds($route->value)) {
                    yield $this->finding($plan, $output, $span, $route, $route->value, RouteNames::of($plan, $route));
                }
            }
            foreach ($plan->keyCodesTo($output) as $code) {
                if ($code->action === Action::Set && $code->value !== null && ! $span->holds($code->value)) {
                    yield $this->finding($plan, $output, $span, $code, $code->value, "{$plan->node($code->nodeId)->name}, {$code->name}");
                }
            }
        }
    }

    private function finding(Plan $plan, Output $output, ValueSpan $span, Route|KeyCode $thing, int $value, string $name): Finding
    {
        $nearest = $span->nearest($value);

        return new Finding(
            $this->key(),
            Severity::Fault,
            "{$output->name} has no {$value}: it goes from {$span->lowest} to {$span->highest}",
            Subject::of($thing, $name, 'value'),
            ['value' => $value, 'lowest' => $span->lowest, 'highest' => $span->highest],
            "{$plan->node($output->nodeId)->name} would ignore it, or do the nearest thing it knows.",
            $thing instanceof Route ? 'Ask for a value it has, or correct what it goes to.' : 'Correct the value of the code, or what the function goes to.',
            $thing instanceof Route ? new Fix("Set {$nearest}", Operation::change(ThingKind::Route, $thing->id, ['value' => $nearest])) : null,
        );
    }
}
