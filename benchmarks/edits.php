<?php

declare(strict_types=1);

// The edits that benchmarks time: of a leaf of the plan, and of what everything hangs on.

use Rundfunk\Plan\Link;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

/** A handheld in the middle of the plan, on no more than one link. */
function leaf(Plan $plan): Node
{
    $senders = array_values(array_filter($plan->nodes(), static fn (Node $node): bool => count($plan->endpointsOf($node)) === 1 && $plan->controlsOf($node) !== []));

    return $senders[intdiv(count($senders), 2)];
}

/** @return array<string, array<string, list<string>>> what is on screen, by step: the switch table with a cell picked, and the leaf's link with its panel */
function screens(Plan $plan): array
{
    $node = leaf($plan);
    $route = $plan->routesFrom($plan->controlsOf($node)[0])[0];

    return [
        'Routes open' => ['route-way' => [$route->id], 'output-masters' => [$route->outputId], 'all-off' => ['']],
        'its panel open' => ['link-panel' => [$plan->endpointsOf($node)[0]->linkId]],
    ];
}

/** @return array<string, list<Operation>> by what they are of */
function leafEdits(Plan $plan): array
{
    $node = leaf($plan);
    $end = $plan->endpointsOf($node)[0];
    $route = $plan->routesFrom($plan->controlsOf($node)[0])[0];
    $board = $plan->node($plan->output($route->outputId)->nodeId);
    $wire = $plan->pinUsesOf($plan->modulesOf($board)[0])[0];

    return [
        'rename' => [Operation::change(ThingKind::Node, $node->id, ['name' => 'Other'])],
        'end setting' => [Operation::change(ThingKind::Endpoint, $end->id, ['order' => 900])],
        'wire' => [Operation::change(ThingKind::PinUse, $wire->id, ['pinned' => true])],
        'route' => [Operation::change(ThingKind::Route, $route->id, ['action' => 'off'])],
        'removal' => [Operation::remove(ThingKind::Node, $node->id)],
    ];
}

/** @return array<string, list<Operation>> by what they are of */
function broadEdits(Plan $plan): array
{
    $on = static fn (Link $link): int => count($plan->endpointsOn($link));
    $links = $plan->links();
    usort($links, static fn (Link $one, Link $other): int => $on($other) <=> $on($one));
    $nodes = $plan->nodes();
    usort($nodes, static fn (Node $one, Node $other): int => count($plan->endpointsOf($other)) <=> count($plan->endpointsOf($one)));

    return [
        'link' => [Operation::change(ThingKind::Link, $links[0]->id, ['name' => 'Other'])],
        'gateway' => [Operation::change(ThingKind::Node, $nodes[0]->id, ['name' => 'Other'])],
        'plan' => [Operation::changeProperties($plan->properties->id, ['busyWifi' => [13]])],
    ];
}
