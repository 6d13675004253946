<?php

declare(strict_types=1);

namespace Rundfunk\Links\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\NodeRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Links\RidesOn;
use Rundfunk\Medium\Medium;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Role;

/** An end of a link on a node that has no part for it, or whose part cannot do what the end is to do, or is on another link. */
#[Finds('endpoint-without-module', WorkStep::Links)]
final readonly class EndpointWithoutModule implements NodeRule
{
    public function check(Node $node, Look $look): iterable
    {
        $serving = [];
        foreach ($look->plan->endpointsOf($node) as $endpoint) {
            $end = $look->end($endpoint);
            $module = $end->module;
            if ($module === null && ($node->kind->isBought() || $look->board($node)?->carries($end->link->medium) === true)) {
                continue;
            }
            $medium = $look->media->named($end->link->medium);
            $other = $look->media->offering(RidesOn::class, $end->link->medium)?->ridesOn($end->link);
            if ($other !== null) {
                yield from self::riding($end, $look->media->named($other), $look);

                continue;
            }
            if ($module === null || $end->class === null || $module->nodeId !== $node->id || $end->class->medium !== $end->link->medium) {
                yield Finding::fault(
                    "{$node->name} has no {$medium->part()} for {$end->link->name}",
                    $end->at('moduleId'),
                    "{$end->link->name} is {$medium->name()}, and no module of {$node->name} is named to carry it.",
                    "Add the {$medium->part()} to the node, or choose it for this end.",
                );

                continue;
            }
            $other = $serving[$module->id] ??= $end;
            if (! $end->class->serves($endpoint->role)) {
                $can = $end->class->role === Role::Sends ? 'only sends' : 'only receives';
                yield Finding::fault(
                    "{$module->name} of {$node->name} {$can}",
                    $end->at('role'),
                    "The plan asks it to be an end that \"{$endpoint->role->value}\" on {$end->link->name}: a {$end->class->name} cannot.",
                    'Choose another part, or change what this end does.',
                    numbers: ['role' => $endpoint->role->value],
                );
            } elseif ($other !== $end) {
                yield Finding::fault(
                    "{$module->name} of {$node->name} serves two links",
                    $end->at('moduleId'),
                    "It is on {$other->link->name} already, and one part serves one link at a time.",
                    "Give each link a {$medium->part()} of its own.",
                    about: [$endpoint->id, $other->endpoint->id],
                );
            }
        }
    }

    /**
     * What goes over a node's other network needs that.
     *
     * @return iterable<Finding>
     */
    private static function riding(End $end, Medium $on, Look $look): iterable
    {
        if (array_filter($look->plan->endpointsOf($end->node), static fn (Endpoint $other): bool => $look->plan->link($other->linkId)->medium === $on->key()) !== []) {
            return;
        }
        yield Finding::fault(
            "{$end->node->name} is on {$end->link->name} and on no {$on->name()}",
            $end->at(),
            "{$end->link->name} goes over {$on->name()}: without one nothing leaves the node.",
            "Put {$end->node->name} on a {$on->name()} as well.",
        );
    }
}
