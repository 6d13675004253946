<?php

declare(strict_types=1);

namespace Rundfunk\Routes;

use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;

/** The way a route goes from its control's node to its output's node. */
final class Paths
{
    /** @var array<string, list<array{from: Endpoint, to: Endpoint}>> ways out of each node that was come by, by node id */
    private array $ways = [];

    /** @var array<string, list<array{from: Endpoint, to: Endpoint}>|null> by "from to" */
    private array $found = [];

    /** @var array<string, bool> by route */
    private array $held = [];

    public function __construct(private readonly Plan $plan)
    {
    }

    /** The hops in the plan lead from the control to the output, each over a link between ends that may send and receive. */
    public function holds(Route $route): bool
    {
        return $this->held[$route->id] ??= $this->leads($route);
    }

    private function leads(Route $route): bool
    {
        $start = $this->plan->control($route->controlId)->nodeId;
        $at = $start;
        foreach ($this->plan->hopsOf($route) as $hop) {
            $from = $this->plan->endpoint($hop->fromId);
            $to = $this->plan->endpoint($hop->toId);
            $sound = $from->nodeId === $at && $from->linkId === $hop->linkId && $to->linkId === $hop->linkId
                && $from->role->sends() && $to->role->receives();
            if (! $sound || ($at !== $start && $this->plan->node($at)->kind->isBought())) {
                return false;
            }
            $at = $to->nodeId;
        }

        return $at === $this->plan->output($route->outputId)->nodeId;
    }

    /**
     * The hops a route travels: those in the plan when they hold, otherwise the shortest way there is, with no codes yet.
     *
     * @return list<Hop>|null null when no way exists
     */
    public function hops(Route $route): ?array
    {
        return $this->holds($route) ? $this->plan->hopsOf($route) : $this->propose($route);
    }

    /**
     * The way with the fewest hops, over the lowest-ordered links.
     *
     * @return list<Hop>|null null when no way exists
     */
    public function propose(Route $route): ?array
    {
        $from = $this->plan->control($route->controlId)->nodeId;
        $to = $this->plan->output($route->outputId)->nodeId;
        $key = $from.' '.$to;
        if (! array_key_exists($key, $this->found)) {
            $this->found[$key] = $this->search($from, $to);
        }
        if ($this->found[$key] === null) {
            return null;
        }
        $hops = [];
        foreach ($this->found[$key] as $index => $way) {
            $hops[] = new Hop($this->plan->newId('hop', $route->id, (string) $index, $way['from']->id, $way['to']->id), $route->id, $way['from']->linkId, $way['from']->id, $way['to']->id, order: $index);
        }

        return $hops;
    }

    /** @return list<array{from: Endpoint, to: Endpoint}>|null */
    private function search(string $from, string $to): ?array
    {
        $reached = [$from => null];
        $queue = [$from];
        for ($next = 0; isset($queue[$next]) && ! array_key_exists($to, $reached); $next++) {
            foreach ($this->waysOut($queue[$next]) as $way) {
                if (! array_key_exists($way['to']->nodeId, $reached)) {
                    $reached[$way['to']->nodeId] = $way;
                    // What was bought as it is hands nothing on: a way may end there, not lead through.
                    if (! $this->plan->node($way['to']->nodeId)->kind->isBought()) {
                        $queue[] = $way['to']->nodeId;
                    }
                }
            }
        }
        if (! array_key_exists($to, $reached)) {
            return null;
        }
        $path = [];
        for ($way = $reached[$to]; $way !== null; $way = $reached[$way['from']->nodeId]) {
            array_unshift($path, $way);
        }

        return $path;
    }

    /** @return list<array{from: Endpoint, to: Endpoint}> over the lowest-ordered links first */
    private function waysOut(string $nodeId): array
    {
        if (isset($this->ways[$nodeId])) {
            return $this->ways[$nodeId];
        }
        $sending = [];
        foreach ($this->plan->endpointsOf($this->plan->node($nodeId)) as $end) {
            if ($end->role->sends()) {
                $sending[$end->linkId][] = $end;
            }
        }
        $ways = [];
        foreach ($sending === [] ? [] : $this->plan->links() as $link) {
            foreach ($sending[$link->id] ?? [] as $from) {
                foreach ($this->plan->endpointsOn($link) as $to) {
                    if ($to->role->receives() && $to->nodeId !== $nodeId) {
                        $ways[] = ['from' => $from, 'to' => $to];
                    }
                }
            }
        }

        return $this->ways[$nodeId] = $ways;
    }
}
