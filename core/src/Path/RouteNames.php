<?php

declare(strict_types=1);

namespace Rundfunk\Path;

use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;

/** How routes are named in findings. */
final readonly class RouteNames
{
    /** @return string "Pocket A · Button 3 → Pump house · Pump" */
    public static function of(Plan $plan, Route $route): string
    {
        $control = $plan->control($route->controlId);
        $output = $plan->output($route->outputId);

        return "{$plan->node($control->nodeId)->name} · {$control->name} → {$plan->node($output->nodeId)->name} · {$output->name}";
    }
}
