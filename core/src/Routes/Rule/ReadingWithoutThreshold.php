<?php

declare(strict_types=1);

namespace Rundfunk\Routes\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\RouteRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\RouteNames;

/** Something follows a reading, and nothing says from which value on. */
#[Finds('reading-without-threshold', WorkStep::Routes)]
final readonly class ReadingWithoutThreshold implements RouteRule
{
    public function check(Route $route, Look $look): iterable
    {
        $control = $look->plan->control($route->controlId);
        if ($control->kind !== ControlKind::Reading || $route->action === Action::Set || ($control->settings['threshold'] ?? null) !== null) {
            return [];
        }
        $output = $look->plan->output($route->outputId);

        return [Finding::fault(
            "{$output->name} follows {$control->name}, and nothing says from which value on",
            Spot::of($control, "{$look->plan->node($control->nodeId)->name}, {$control->name}", 'threshold'),
            'A reading switches something when it is beyond a threshold, and this one has none: '.RouteNames::of($look->plan, $route).' never happens, or always.',
            'Give the reading a threshold, and how far it must come back.',
            about: [$route->id],
        )];
    }
}
