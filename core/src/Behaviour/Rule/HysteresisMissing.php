<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\RouteRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Spot;
use Rundfunk\Shape\Values;

/** A reading without hysteresis works something: at its threshold it chatters. */
#[Finds('hysteresis-missing', WorkStep::Routes)]
final readonly class HysteresisMissing implements RouteRule
{
    public function check(Route $route, Look $look): iterable
    {
        $control = $look->plan->control($route->controlId);
        $output = $look->plan->output($route->outputId);
        if ($control->kind !== ControlKind::Reading || $route->value !== null || $route->action === Action::Set || $output->kind === OutputKind::Message) {
            return [];
        }
        $settings = new Values($control->settings);
        if ($settings->numberOrNull('threshold') === null || $settings->number('hysteresis') > 0) {
            return [];
        }

        return [Finding::warning(
            "{$output->name} chatters when {$control->name} is near its threshold",
            Spot::of($control, "{$look->plan->node($control->nodeId)->name}, {$control->name}", 'hysteresis'),
            'A sensor is never quite still: without a distance that it must come back, the least noise switches to and fro, with every reading.',
            'Let it come back by more than it wavers.',
            Fix::settings('Come back by 1', $control, ['hysteresis' => 1.0]),
            about: [$route->id],
        )];
    }
}
