<?php

declare(strict_types=1);

namespace Rundfunk\Routes\Rule;

use Rundfunk\Check\ControlRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\PublishesReadings;

#[Finds('control-without-route', WorkStep::Routes)]
final readonly class ControlWithoutRoute implements ControlRule
{
    public function check(Control $control, Look $look): iterable
    {
        $node = $look->plan->node($control->nodeId);
        if ($look->plan->routesFrom($control) === [] && $look->plan->having(Route::class, 'mixedId', $control->id) === [] && $look->plan->having(Control::class, 'measuredId', $control->id) === [] && ! self::isPublished($look->plan, $control, $node, $look->knowledge)) {
            return [Finding::warning(
                "{$control->name} of {$node->name} does nothing",
                Spot::of($control, "{$node->name}, {$control->name}"),
                $control->kind === ControlKind::State ? 'Nobody is told how it stands.' : 'Someone will press it and think that the link is down.',
                'Give it an action in the switch table, or remove it.',
                Fix::remove("Remove {$control->name}", $control),
            )];
        }

        return [];
    }

    /** A reading that the node tells whoever listens is of use without a route. */
    private static function isPublished(Plan $plan, Control $control, Node $node, Knowledge $knowledge): bool
    {
        if ($control->kind !== ControlKind::Reading) {
            return false;
        }
        foreach ($plan->endpointsOf($node) as $endpoint) {
            if ($knowledge->media->offering(PublishesReadings::class, $plan->link($endpoint->linkId)->medium) !== null) {
                return true;
            }
        }

        return false;
    }
}
