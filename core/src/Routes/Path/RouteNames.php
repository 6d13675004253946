<?php

declare(strict_types=1);

namespace Rundfunk\Path;

use Rundfunk\Figures;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;

/** How routes are named in findings. */
final readonly class RouteNames
{
    /** @return string "Gate: pulse 1 s" */
    public static function does(Plan $plan, Route $route): string
    {
        return "{$plan->output($route->outputId)->name}: ".self::asks($route);
    }

    /** @return string "pulse 1 s", "set 3", "step +1" */
    public static function asks(Route $route): string
    {
        return match (true) {
            $route->action === Action::Pulse && $route->pulseMs !== null => 'pulse '.Figures::duration($route->pulseMs * 1_000_000),
            $route->action === Action::Set && $route->value !== null => "set {$route->value}",
            $route->action === Action::Step && $route->value !== null => sprintf('step %+d', $route->value),
            default => $route->action->value,
        };
    }

    /** @return string "set -3": what is asked, in words that make a name */
    public static function inWords(Route $route): string
    {
        return $route->value === null ? $route->action->value : "{$route->action->value} {$route->value}";
    }

    /** @return string "Pocket A · Button 3 → Pump house · Pump" */
    public static function of(Plan $plan, Route $route): string
    {
        $control = $plan->control($route->controlId);
        $output = $plan->output($route->outputId);

        return "{$plan->node($control->nodeId)->name} · {$control->name} → {$plan->node($output->nodeId)->name} · {$output->name}";
    }
}
