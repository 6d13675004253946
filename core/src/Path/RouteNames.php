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
        $pulse = $route->action === Action::Pulse && $route->pulseMs !== null ? ' '.Figures::duration($route->pulseMs * 1_000_000) : '';

        return "{$plan->output($route->outputId)->name}: {$route->action->value}{$pulse}";
    }

    /** @return string "Pocket A · Button 3 → Pump house · Pump" */
    public static function of(Plan $plan, Route $route): string
    {
        $control = $plan->control($route->controlId);
        $output = $plan->output($route->outputId);

        return "{$plan->node($control->nodeId)->name} · {$control->name} → {$plan->node($output->nodeId)->name} · {$output->name}";
    }
}
