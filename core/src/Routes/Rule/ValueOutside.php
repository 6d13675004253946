<?php

declare(strict_types=1);

namespace Rundfunk\Routes\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\KeyCode;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Spot;
use Rundfunk\Plan\ValueSpan;
use Rundfunk\Routes\RouteNames;

/** A value that its output does not have, asked for by a route or given to a learned code. */
#[Finds('value-outside', WorkStep::Routes)]
final readonly class ValueOutside implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        $span = $output->span();
        if ($span === null) {
            return;
        }
        foreach ($look->plan->routesTo($output) as $route) {
            if ($route->action === Action::Set && $route->value !== null && ! $span->holds($route->value)) {
                yield $this->finding($look->plan, $output, $span, $route, $route->value, RouteNames::of($look->plan, $route));
            }
        }
        foreach ($look->plan->keyCodesTo($output) as $code) {
            if ($code->action === Action::Set && $code->value !== null && ! $span->holds($code->value)) {
                yield $this->finding($look->plan, $output, $span, $code, $code->value, "{$look->plan->node($code->nodeId)->name}, {$code->name}");
            }
        }
    }

    private function finding(Plan $plan, Output $output, ValueSpan $span, Route|KeyCode $thing, int $value, string $name): Finding
    {
        $nearest = $span->nearest($value);

        return Finding::fault(
            "{$output->name} has no {$value}: it goes from {$span->lowest} to {$span->highest}",
            Spot::of($thing, $name, 'value'),
            "{$plan->node($output->nodeId)->name} would ignore it, or do the nearest thing it knows.",
            $thing instanceof Route ? 'Ask for a value it has, or correct what it goes to.' : 'Correct the value of the code, or what the function goes to.',
            $thing instanceof Route ? Fix::change("Set {$nearest}", $thing, ['value' => $nearest]) : null,
            numbers: ['value' => $value, 'lowest' => $span->lowest, 'highest' => $span->highest],
        );
    }
}
