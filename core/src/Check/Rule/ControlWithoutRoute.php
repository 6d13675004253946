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
use Rundfunk\Medium\PublishesReadings;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

final readonly class ControlWithoutRoute implements LooksNearby
{
    public function key(): string
    {
        return 'control-without-route';
    }

    public function reads(): array
    {
        return [ThingKind::Node, ThingKind::Link, ThingKind::Endpoint, ThingKind::Control, ThingKind::Route];
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->controls() as $control) {
            $node = $plan->node($control->nodeId);
            if ($plan->routesFrom($control) === [] && ! self::isPublished($plan, $control, $node, $knowledge)) {
                yield new Finding(
                    $this->key(),
                    Severity::Warning,
                    "{$control->name} of {$node->name} does nothing",
                    Subject::of($control, "{$node->name}, {$control->name}"),
                    [],
                    'Someone will press it and think that the link is down.',
                    'Give it an action in the switch table, or remove it.',
                    new Fix("Remove {$control->name}", Operation::remove(ThingKind::Control, $control->id)),
                );
            }
        }
    }

    /** A reading that the node tells whoever listens is of use without a route. */
    private static function isPublished(Plan $plan, Control $control, Node $node, Knowledge $knowledge): bool
    {
        if ($control->kind !== ControlKind::Reading) {
            return false;
        }
        foreach ($plan->endpointsOf($node) as $endpoint) {
            if ($knowledge->media->named($plan->link($endpoint->linkId)->medium) instanceof PublishesReadings) {
                return true;
            }
        }

        return false;
    }
}
