<?php

declare(strict_types=1);

namespace Rundfunk\Check\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Rule;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

/** An end of a radio link on a node that has no radio for it, or whose radio is on another link. */
final readonly class EndpointWithoutModule implements Rule
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
            $fits = $module !== null && $module->nodeId === $node->id && $knowledge->catalogue->classOf($module)->medium === $link->medium;
            if (! $fits) {
                $medium = $knowledge->media->named($link->medium)->name();
                yield new Finding(
                    $this->key(),
                    Severity::Fault,
                    "{$node->name} has no radio for {$link->name}",
                    Subject::of($endpoint, "{$node->name} on {$link->name}", 'moduleId'),
                    [],
                    "{$link->name} is {$medium}, and no module of {$node->name} is named to carry it.",
                    'Add the transceiver to the node, or choose it for this end.',
                );
            } elseif (isset($serving[$module->id])) {
                yield new Finding(
                    $this->key(),
                    Severity::Fault,
                    "{$module->name} of {$node->name} serves two links",
                    Subject::of($endpoint, "{$node->name} on {$link->name}", 'moduleId'),
                    [],
                    "It is on {$plan->link($serving[$module->id]->linkId)->name} already, and a radio listens on one channel at a time.",
                    'Give each link a transceiver of its own.',
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
