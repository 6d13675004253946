<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\RouteRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\RouteNames;
use Rundfunk\Shape\Values;

/** A timer that wears a relay out within two years. */
#[Finds('relay-wears', WorkStep::Routes)]
final readonly class RelayWears implements RouteRule
{
    /** Operations at rated load. Common practice. */
    private const LIFE = 100_000;

    public function check(Route $route, Look $look): iterable
    {
        $output = $look->plan->output($route->outputId);
        $control = $look->plan->control($route->controlId);
        $every = $control->kind === ControlKind::Timer ? (new Values($control->settings))->wholeOrNull('everyMin') : null;
        if ($every === null || $output->kind !== OutputKind::Relay || $route->action === Action::Off) {
            return [];
        }
        $days = self::LIFE / (1_440 / $every);
        if ($days >= 730) {
            return [];
        }

        return [Finding::advice(
            "{$output->name} wears out in ".Figures::significant($days).' days',
            Spot::of($route, RouteNames::of($look->plan, $route)),
            "A relay is good for about 100,000 operations at its rated load, and {$control->name} works it ".Figures::significant(1_440 / $every).' times a day.',
            'Let it strike more seldom, or switch with something that has no contacts: a transistor, or a solid-state relay.',
            numbers: ['operations_per_day' => 1_440 / $every, 'days' => $days],
        )];
    }
}
