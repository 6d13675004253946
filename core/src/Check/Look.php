<?php

declare(strict_types=1);

namespace Rundfunk\Check;

use Closure;
use Rundfunk\Catalogue\Board;
use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Catalogue\Region;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Media;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\PinUse;
use Rundfunk\Plan\Plan;

/** One look at a plan, whole: what rules look things up in, and the subjects that several of them judge, each worked out once. */
final class Look
{
    public readonly Catalogue $catalogue;

    public readonly Media $media;

    /** @var array<string, Wire|null> by id of the pin use */
    private array $wires = [];

    /** @var array<string, End> by id of the endpoint */
    private array $ends = [];

    /** @var array<string, Leg|null> by id of the hop */
    private array $legs = [];

    /** @var array<string, list<Wire>> by id of the node */
    private array $wiresOf = [];

    /** @var array<class-string, object> */
    private array $workedOut = [];

    public readonly Knowledge $knowledge;

    public function __construct(public readonly Plan $plan, Knowledge $knowledge)
    {
        $this->knowledge = $knowledge->of($plan);
        $this->catalogue = $this->knowledge->catalogue;
        $this->media = $knowledge->media;
    }

    public function board(Node $node): ?Board
    {
        return $this->catalogue->boardOf($node);
    }

    public function region(): Region
    {
        return $this->catalogue->regionOf($this->plan);
    }

    /**
     * Something that is worked out of the whole plan, the first time that a rule asks for it.
     *
     * @template T of object
     *
     * @param  class-string<T>  $class
     * @param  Closure(): T  $work
     * @return T
     */
    public function once(string $class, Closure $work): object
    {
        $this->workedOut[$class] ??= $work();
        /** @var T $worked */
        $worked = $this->workedOut[$class];

        return $worked;
    }

    /** @return Wire|null null where the node has no board, or the module no such terminal */
    public function wire(PinUse $use): ?Wire
    {
        if (! array_key_exists($use->id, $this->wires)) {
            $module = $this->plan->module($use->moduleId);
            $node = $this->plan->node($module->nodeId);
            $board = $this->catalogue->boardOf($node);
            $terminal = $board === null ? null : $this->catalogue->classOf($module)->terminal($use->terminal);
            $this->wires[$use->id] = $board === null || $terminal === null ? null : new Wire($node, $board, $module, $terminal, $use, $board->pin($use->pin));
        }

        return $this->wires[$use->id];
    }

    /** @return list<Wire> module by module */
    public function wiresOf(Node $node): array
    {
        return $this->wiresOf[$node->id] ??= $this->workOutWires($node);
    }

    public function end(Endpoint $endpoint): End
    {
        return $this->ends[$endpoint->id] ??= $this->workOutEnd($endpoint);
    }

    /** @return Leg|null null where one of its ends is on another link */
    public function leg(Hop $hop): ?Leg
    {
        if (! array_key_exists($hop->id, $this->legs)) {
            $this->legs[$hop->id] = $this->workOutLeg($hop);
        }

        return $this->legs[$hop->id];
    }

    private function workOutLeg(Hop $hop): ?Leg
    {
        $from = $this->plan->endpoint($hop->fromId);
        $to = $this->plan->endpoint($hop->toId);
        if ($from->linkId !== $hop->linkId || $to->linkId !== $hop->linkId) {
            return null;
        }
        $route = $this->plan->route($hop->routeId);

        return new Leg(
            $hop, $route, $this->plan->link($hop->linkId),
            $from, $this->plan->node($from->nodeId), $to, $this->plan->node($to->nodeId),
            $this->plan->control($route->controlId), $this->plan->output($route->outputId),
        );
    }

    /** @return list<Wire> */
    private function workOutWires(Node $node): array
    {
        $wires = [];
        foreach ($this->plan->modulesOf($node) as $module) {
            foreach ($this->plan->pinUsesOf($module) as $use) {
                $wires[] = $this->wire($use);
            }
        }

        return array_values(array_filter($wires));
    }

    private function workOutEnd(Endpoint $endpoint): End
    {
        $module = $endpoint->moduleId === null ? null : $this->plan->module($endpoint->moduleId);

        return new End($endpoint, $this->plan->node($endpoint->nodeId), $this->plan->link($endpoint->linkId), $module, $module === null ? null : $this->catalogue->classOf($module));
    }
}
