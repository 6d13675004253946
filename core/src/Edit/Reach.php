<?php

declare(strict_types=1);

namespace Rundfunk\Edit;

use Rundfunk\Plan\Address;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\KeyCode;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\PinUse;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Thing;
use Rundfunk\Plan\ThingKind;

/**
 * How far an edit is felt: the nodes that own what it touched, and those that share a link or a route with them. What
 * lies farther off looks and works as before, so that an edit costs what it touches and not what the plan holds.
 */
final readonly class Reach
{
    /**
     * @param  array<string, true>|null  $nodes  null for everything: the region or the neighbours' Wi-Fi changed, or nearness cannot be told
     * @param  array<string, true>  $links  those on which any of the nodes is, and those touched
     * @param  array<string, true>  $routes  those that begin, end or pass at any of the nodes
     * @param  array<string, list<string>>  $gone  ids of what was removed, by kind
     */
    private function __construct(private Plan $plan, private ?array $nodes, private array $links, private array $routes, private array $gone)
    {
    }

    public static function of(Edited $edited): self
    {
        $gone = [];
        foreach ($edited->kinds() as $kind) {
            $gone[$kind->value] = array_values(array_filter($edited->touched[$kind->value], static fn (string $id): bool => $edited->plan->find($kind, $id) === null));
        }
        if ($edited->touchesParticulars() || Crossings::any($edited)) {
            return new self($edited->plan, null, [], [], $gone);
        }
        $near = new Neighbourhood($edited->plan);
        foreach ([$edited->before, $edited->plan] as $plan) {
            foreach ($edited->kinds() as $kind) {
                foreach ($edited->touched[$kind->value] as $id) {
                    $thing = $plan->find($kind, $id);
                    if ($thing !== null) {
                        $near->startAt($plan, $thing);
                    }
                }
            }
        }
        $near->spread();

        return new self($edited->plan, $near->nodes(), $near->links(), $near->routes(), $gone);
    }

    /** @return list<Node> */
    public function nodes(): array
    {
        return $this->among(ThingKind::Node, $this->plan->nodes(), $this->nodes);
    }

    /** @return list<Link> */
    public function links(): array
    {
        return $this->among(ThingKind::Link, $this->plan->links(), $this->links);
    }

    /** @return list<Route> */
    public function routes(): array
    {
        return $this->among(ThingKind::Route, $this->plan->routes(), $this->routes);
    }

    /** @return list<Output> on the nodes, or at the end of the routes */
    public function outputs(): array
    {
        if ($this->nodes === null) {
            return $this->plan->outputs();
        }
        $outputs = [];
        foreach ($this->nodes() as $node) {
            foreach ($this->plan->outputsOf($node) as $output) {
                $outputs[$output->id] = $output;
            }
        }
        foreach ($this->routes() as $route) {
            $outputs[$route->outputId] = $this->plan->output($route->outputId);
        }

        return array_values($outputs);
    }

    /** Whether a thing, or what is said of it, can have changed. */
    public function feels(string $kind, string $id): bool
    {
        $thing = ($named = ThingKind::tryFrom($kind)) === null ? null : $this->plan->find($named, $id);

        return $this->nodes === null || match (true) {
            $thing instanceof Node => isset($this->nodes[$thing->id]),
            $thing instanceof Module, $thing instanceof Control, $thing instanceof Output, $thing instanceof KeyCode, $thing instanceof Endpoint => isset($this->nodes[$thing->nodeId]),
            $thing instanceof PinUse => isset($this->nodes[$this->plan->module($thing->moduleId)->nodeId]),
            $thing instanceof Address => isset($this->nodes[$this->plan->endpoint($thing->endpointId)->nodeId]),
            $thing instanceof Link => isset($this->links[$thing->id]),
            $thing instanceof Route => isset($this->routes[$thing->id]),
            $thing instanceof Hop => isset($this->routes[$thing->routeId]),
            default => true,
        };
    }

    /**
     * The part of the plan on which hangs whatever the edit can have changed: the reach and two steps further, one to the
     * far end of its routes, one to what is near that.
     *
     * @return Plan|null null when that is most of the plan
     */
    public function surroundings(): ?Plan
    {
        if ($this->nodes === null) {
            return null;
        }
        $near = new Neighbourhood($this->plan);
        foreach ($this->nodes() as $node) {
            $near->startAt($this->plan, $node);
        }
        $near->spread();
        $near->spread();
        // A link on which nobody is yet is near nobody.
        foreach ($this->links() as $link) {
            $near->startAt($this->plan, $link);
        }

        return 2 * count($near->nodes()) > count($this->plan->all(ThingKind::Node)) ? null : $near->plan();
    }

    /** @return list<string> ids of what the edit removed */
    public function gone(ThingKind $kind): array
    {
        return $this->gone[$kind->value] ?? [];
    }

    /**
     * @template T of Thing
     *
     * @param  list<T>  $all
     * @param  array<string, true>|null  $ids
     * @return list<T> in the order of the plan
     */
    private function among(ThingKind $kind, array $all, ?array $ids): array
    {
        return $this->nodes === null || $ids === null ? $all : array_values(array_filter($all, static fn (Thing $thing): bool => isset($ids[$thing->id()])));
    }
}
