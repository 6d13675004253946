<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Behaviour\Answers;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\RouteRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Spot;

/** Something goes on showing a state when nobody tells it any more. */
#[Finds('state-believed-for-ever', WorkStep::Routes)]
final readonly class StateBelievedForEver implements RouteRule
{
    private const EVERY_S = 30;

    public function check(Route $route, Look $look): iterable
    {
        $control = $look->plan->control($route->controlId);
        $output = $look->plan->output($route->outputId);
        if ($control->kind !== ControlKind::State || $control->nodeId === $output->nodeId || $output->kind === OutputKind::Message || ! $route->holdsToControl() || Answers::everyMs($control) > 0) {
            return [];
        }
        $node = $look->plan->node($control->nodeId);

        return [Finding::warning(
            "{$output->name} goes on showing what {$control->name} was",
            Spot::of($control, "{$node->name}, {$control->name}", 'everyS'),
            "It is told when something changes and never else. When {$node->name} loses its power or its link, {$look->plan->node($output->nodeId)->name} shows the last it heard, for ever.",
            'Let it be told again and again: after so many that are missed it is shown that nobody knows.',
            Fix::settings('Tell it every '.self::EVERY_S.' s', $control, ['everyS' => self::EVERY_S]),
            about: [$control->id, $output->id],
        )];
    }
}
