<?php

declare(strict_types=1);

namespace Rundfunk\Check\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Rundfunk\Plan\ThingKind;

/** An end of a link on a node that has no part for it, or whose part cannot do what the end is to do, or is on another link. */
final readonly class EndpointWithoutModule implements LooksNearby
{
    public function key(): string
    {
        return 'endpoint-without-module';
    }

    public function reads(): array
    {
        return [ThingKind::Node, ThingKind::Module, ThingKind::Link, ThingKind::Endpoint];
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        $serving = [];
        foreach ($plan->endpoints() as $endpoint) {
            $link = $plan->link($endpoint->linkId);
            $node = $plan->node($endpoint->nodeId);
            $module = $endpoint->moduleId === null ? null : $plan->module($endpoint->moduleId);
            if ($module === null && ($node->kind->isBought() || $knowledge->catalogue->boardOf($node)?->carries($link->medium) === true)) {
                continue;
            }
            $medium = $knowledge->media->named($link->medium);
            $part = $medium->part();
            $class = $module === null ? null : $knowledge->catalogue->classOf($module);
            $fits = $module !== null && $module->nodeId === $node->id && $class?->medium === $link->medium;
            if ($fits && ! $class->serves($endpoint->role)) {
                $can = $class->role === Role::Sends ? 'only sends' : 'only receives';
                yield new Finding(
                    $this->key(),
                    Severity::Fault,
                    "{$module->name} of {$node->name} {$can}",
                    Subject::of($endpoint, "{$node->name} on {$link->name}", 'role'),
                    ['role' => $endpoint->role->value],
                    "The plan asks it to be an end that \"{$endpoint->role->value}\" on {$link->name}: a {$class->name} cannot.",
                    'Choose another part, or change what this end does.',
                );
            } elseif (! $fits) {
                yield new Finding(
                    $this->key(),
                    Severity::Fault,
                    "{$node->name} has no {$part} for {$link->name}",
                    Subject::of($endpoint, "{$node->name} on {$link->name}", 'moduleId'),
                    [],
                    "{$link->name} is {$medium->name()}, and no module of {$node->name} is named to carry it.",
                    "Add the {$part} to the node, or choose it for this end.",
                );
            } elseif (isset($serving[$module->id])) {
                yield new Finding(
                    $this->key(),
                    Severity::Fault,
                    "{$module->name} of {$node->name} serves two links",
                    Subject::of($endpoint, "{$node->name} on {$link->name}", 'moduleId'),
                    [],
                    "It is on {$plan->link($serving[$module->id]->linkId)->name} already, and one part serves one link at a time.",
                    "Give each link a {$part} of its own.",
                    null,
                    [$endpoint->id, $serving[$module->id]->id],
                );
            }
            if ($fits) {
                $serving[$module->id] ??= $endpoint;
            }
        }
    }
}
