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
use Rundfunk\Plan\Place;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\PlanDraft;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Thing;
use Rundfunk\Plan\ThingKind;

/** Finds what is near some things of a plan: first whose they are, then who shares a link or a route with those. */
final class Neighbourhood
{
    /** @var array<string, true> */
    private array $nodes = [];

    /** @var array<string, true> */
    private array $links = [];

    /** @var array<string, true> */
    private array $routes = [];

    /** @var array<string, list<Route>> by node */
    private array $passing = [];

    /** @param  Plan  $plan  as it is after the edit */
    public function __construct(private readonly Plan $plan)
    {
    }

    /** @param  Plan  $plan  the one that holds the thing: as it was, or as it is */
    public function startAt(Plan $plan, Thing $thing): void
    {
        match (true) {
            $thing instanceof Place => $this->startAtPlace($thing),
            $thing instanceof Node => $this->nodes[$thing->id] = true,
            $thing instanceof Module, $thing instanceof Control, $thing instanceof Output, $thing instanceof KeyCode => $this->nodes[$thing->nodeId] = true,
            $thing instanceof PinUse => $this->nodes[$plan->module($thing->moduleId)->nodeId] = true,
            $thing instanceof Link => $this->links[$thing->id] = true,
            $thing instanceof Endpoint => $this->startAtEnd($thing),
            $thing instanceof Address => $this->startAtEnd($plan->endpoint($thing->endpointId)),
            $thing instanceof Route => $this->startAtRoute($plan, $thing),
            $thing instanceof Hop => $this->startAtHop($plan, $thing),
            default => null,
        };
    }

    /** One step on: over every link and along every route of what was found so far. */
    public function spread(): void
    {
        $own = $this->nodes;
        foreach ($this->links as $id => $true) {
            foreach ($this->endsOn($id) as $end) {
                $own[$end->nodeId] = true;
            }
        }
        foreach (array_keys($own) as $id) {
            $this->spreadFrom($id);
        }
        // The links and routes of all who were reached: what is said of those can have changed too.
        foreach (array_keys($this->nodes) as $id) {
            $this->gather($id);
        }
    }

    /** @return array<string, true> */
    public function nodes(): array
    {
        return array_filter($this->nodes, fn (string $id): bool => $this->plan->find(ThingKind::Node, $id) !== null, ARRAY_FILTER_USE_KEY);
    }

    /** @return array<string, true> */
    public function links(): array
    {
        return $this->links;
    }

    /** @return array<string, true> */
    public function routes(): array
    {
        return $this->routes;
    }

    /** What was found as a plan of its own: its nodes with all that is on them, the links between them, the routes among them. */
    public function plan(): Plan
    {
        $nodes = $this->nodes();
        $draft = new PlanDraft($this->plan->particulars);
        foreach ($this->plan->places() as $place) {
            $draft->put($place);
        }
        foreach (array_keys($this->links) as $id) {
            $link = $this->plan->find(ThingKind::Link, $id);
            if ($link !== null) {
                $draft->put($link);
            }
        }
        foreach (array_keys($nodes) as $id) {
            $this->putNode($draft, $this->plan->node($id));
        }
        foreach (array_keys($this->routes) as $id) {
            $route = $this->plan->find(ThingKind::Route, $id);
            if ($route instanceof Route && $this->isAmong($nodes, $route)) {
                array_map($draft->put(...), [$route, ...$this->plan->hopsOf($route)]);
            }
        }

        return $draft->partOf($this->plan);
    }

    private function putNode(PlanDraft $draft, Node $node): void
    {
        array_map($draft->put(...), [$node, ...$this->plan->controlsOf($node), ...$this->plan->outputsOf($node), ...$this->plan->keyCodesOf($node)]);
        foreach ($this->plan->modulesOf($node) as $module) {
            array_map($draft->put(...), [$module, ...$this->plan->pinUsesOf($module)]);
        }
        foreach ($this->plan->endpointsOf($node) as $end) {
            array_map($draft->put(...), [$end, ...$this->plan->addressesOf($end)]);
        }
    }

    /** @param  array<string, true>  $nodes */
    private function isAmong(array $nodes, Route $route): bool
    {
        $passed = [$this->plan->control($route->controlId)->nodeId, $this->plan->output($route->outputId)->nodeId];
        foreach ($this->plan->hopsOf($route) as $hop) {
            $passed[] = $this->plan->endpoint($hop->fromId)->nodeId;
            $passed[] = $this->plan->endpoint($hop->toId)->nodeId;
        }

        return array_diff_key(array_flip($passed), $nodes) === [];
    }

    private function startAtPlace(Place $place): void
    {
        foreach ($this->plan->nodes() as $node) {
            if ($node->placeId === $place->id) {
                $this->nodes[$node->id] = true;
            }
        }
    }

    private function startAtEnd(Endpoint $end): void
    {
        $this->nodes[$end->nodeId] = true;
        $this->links[$end->linkId] = true;
    }

    private function startAtRoute(Plan $plan, Route $route): void
    {
        $this->routes[$route->id] = true;
        $this->nodes[$plan->control($route->controlId)->nodeId] = true;
        $this->nodes[$plan->output($route->outputId)->nodeId] = true;
    }

    private function startAtHop(Plan $plan, Hop $hop): void
    {
        $this->startAtRoute($plan, $plan->route($hop->routeId));
        $this->startAtEnd($plan->endpoint($hop->fromId));
        $this->startAtEnd($plan->endpoint($hop->toId));
    }

    private function spreadFrom(string $nodeId): void
    {
        $this->nodes[$nodeId] = true;
        $node = $this->plan->find(ThingKind::Node, $nodeId);
        foreach ($node instanceof Node ? $this->plan->endpointsOf($node) : [] as $end) {
            foreach ($this->endsOn($end->linkId) as $other) {
                $this->nodes[$other->nodeId] = true;
            }
        }
        foreach ($this->routesAt($nodeId) as $route) {
            $this->nodes[$this->plan->control($route->controlId)->nodeId] = true;
            $this->nodes[$this->plan->output($route->outputId)->nodeId] = true;
            foreach ($this->plan->hopsOf($route) as $hop) {
                $this->nodes[$this->plan->endpoint($hop->fromId)->nodeId] = true;
                $this->nodes[$this->plan->endpoint($hop->toId)->nodeId] = true;
            }
        }
    }

    private function gather(string $nodeId): void
    {
        $node = $this->plan->find(ThingKind::Node, $nodeId);
        foreach ($node instanceof Node ? $this->plan->endpointsOf($node) : [] as $end) {
            $this->links[$end->linkId] = true;
        }
        foreach ($this->routesAt($nodeId) as $route) {
            $this->routes[$route->id] = true;
        }
    }

    /** @return list<Endpoint> */
    private function endsOn(string $linkId): array
    {
        $link = $this->plan->find(ThingKind::Link, $linkId);

        return $link instanceof Link ? $this->plan->endpointsOn($link) : [];
    }

    /** @return list<Route> those that begin, end or pass at a node */
    private function routesAt(string $nodeId): array
    {
        return $this->passing[$nodeId] ??= $this->passing($nodeId);
    }

    /** @return list<Route> */
    private function passing(string $nodeId): array
    {
        $node = $this->plan->find(ThingKind::Node, $nodeId);
        if (! $node instanceof Node) {
            return [];
        }
        $routes = [];
        foreach ($this->plan->controlsOf($node) as $control) {
            foreach ($this->plan->routesFrom($control) as $route) {
                $routes[$route->id] = $route;
            }
        }
        foreach ($this->plan->outputsOf($node) as $output) {
            foreach ($this->plan->routesTo($output) as $route) {
                $routes[$route->id] = $route;
            }
        }
        foreach ($this->plan->endpointsOf($node) as $end) {
            foreach ([...$this->plan->hopsTo($end), ...$this->plan->hopsFrom($end)] as $hop) {
                $routes[$hop->routeId] ??= $this->plan->route($hop->routeId);
            }
        }

        return array_values($routes);
    }
}
