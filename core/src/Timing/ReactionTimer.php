<?php

declare(strict_types=1);

namespace Rundfunk\Timing;

use Rundfunk\Knowledge;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Rundfunk\Routes\Paths;
use Rundfunk\Shape\Values;

/** Adds up how long a route takes. The figures for programs' loops are common practice: a loop of up to 10 ms. */
final class ReactionTimer
{
    private const LOOP_NS = 10_000_000;

    private const LOOP_TYPICAL_NS = 2_000_000;

    private readonly Paths $paths;

    private readonly Knowledge $knowledge;

    public function __construct(private readonly Plan $plan, Knowledge $knowledge)
    {
        $this->knowledge = $knowledge->of($plan);
        $this->paths = new Paths($plan);
    }

    /** @return ReactionTime|null null when the route has no way to its output */
    public function of(Route $route): ?ReactionTime
    {
        $hops = $this->paths->hops($route);
        if ($hops === null) {
            return null;
        }
        $segments = [...$this->sampling($route), ...$this->travel($hops, $hops === [] ? 0 : $this->turn($route, $hops[0]))];
        if ($segments === []) {
            // Nothing bounces and nothing is sent: it takes a round of the program all the same.
            $segments = [new Segment(SegmentKind::Processing, 'a round of the program', 0, self::LOOP_TYPICAL_NS, self::LOOP_NS)];
        }

        return new ReactionTime([...$segments, ...$this->switching($route)]);
    }

    /**
     * How long a message takes over some hops, whatever it says.
     *
     * @param  list<Hop>  $hops
     */
    public function over(array $hops): ReactionTime
    {
        return new ReactionTime($this->travel($hops, 0));
    }

    /**
     * @param  list<Hop>  $hops
     * @param  int  $turn  how many other receivers are served first
     * @return list<Segment>
     */
    private function travel(array $hops, int $turn): array
    {
        $segments = [];
        foreach ($hops as $index => $hop) {
            $times = $this->knowledge->media->offering(TimesHops::class, $this->plan->link($hop->linkId)->medium);
            $segments = [...$segments, ...$times?->segments($this->plan, $hop, $index === 0 ? $turn : 0) ?? []];
            $name = $this->plan->node($this->plan->endpoint($hop->toId)->nodeId)->name;
            $segments[] = new Segment(SegmentKind::Processing, $name.' reads it', 0, self::LOOP_TYPICAL_NS, self::LOOP_NS);
        }

        return $segments;
    }

    /** How many other receivers the control's node serves before this one, for the same press. */
    public function turn(Route $route, Hop $first): int
    {
        $served = [];
        foreach ($this->plan->routesFrom($this->plan->control($route->controlId)) as $earlier) {
            if ($earlier->id === $route->id) {
                break;
            }
            $hop = ($this->paths->hops($earlier) ?? [])[0] ?? null;
            if ($hop !== null && $hop->linkId === $first->linkId && $hop->toId !== $first->toId) {
                $served[$hop->toId] = true;
            }
        }

        return count($served);
    }

    /** @return list<Segment> from the control's doing something to the program's noticing */
    private function sampling(Route $route): array
    {
        $control = $this->plan->control($route->controlId);
        if ($control->kind->bounces()) {
            $debounceNs = $control->debounceMs * 1_000_000;

            return [new Segment(SegmentKind::Sampling, 'debounce', $debounceNs, $debounceNs + self::LOOP_TYPICAL_NS, $debounceNs + self::LOOP_NS)];
        }
        if ($control->kind === ControlKind::Reading) {
            $intervalNs = (new Values($control->settings))->whole('intervalS') * 1_000_000_000;

            return [new Segment(SegmentKind::Sampling, 'until it is read', 0, intdiv($intervalNs, 2), $intervalNs)];
        }

        return [];
    }

    /** @return list<Segment> */
    private function switching(Route $route): array
    {
        $output = $this->plan->output($route->outputId);
        if ($output->moduleId === null) {
            return [];
        }
        $class = $this->knowledge->catalogue->classOf($this->plan->module($output->moduleId));
        $typical = (int) ($class->switchTypicalMs * 1_000_000);

        return [new Segment(SegmentKind::Switching, $output->kind->value, intdiv($typical, 2), $typical, (int) ($class->switchWorstMs * 1_000_000))];
    }
}
