<?php

declare(strict_types=1);

namespace Rundfunk\Timing;

use Rundfunk\Knowledge;
use Rundfunk\Plan\Action;
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

    /** @return Timeline|null null when the route has no way to its output */
    public function of(Route $route): ?Timeline
    {
        $hops = $this->paths->hops($route);
        if ($hops === null) {
            return null;
        }
        $spans = [...$this->sampling($route), ...$this->travel($hops, $hops === [] ? 0 : $this->turn($route, $hops[0]))];
        if ($spans === []) {
            // Nothing bounces and nothing is sent: it takes a round of the program all the same.
            $spans = [Span::between(SpanKind::Processing, 'a round of the program', 0, self::LOOP_TYPICAL_NS, self::LOOP_NS)];
        }

        return new Timeline([...$spans, ...$this->switching($route)]);
    }

    /**
     * How long a message takes over some hops, whatever it says.
     *
     * @param  list<Hop>  $hops
     */
    public function over(array $hops): Timeline
    {
        return new Timeline($this->travel($hops, 0));
    }

    /**
     * @param  list<Hop>  $hops
     * @param  int  $turn  how many other receivers are served first
     * @return list<Span>
     */
    private function travel(array $hops, int $turn): array
    {
        $spans = [];
        foreach ($hops as $index => $hop) {
            $times = $this->knowledge->media->offering(TimesHops::class, $this->plan->link($hop->linkId)->medium);
            $spans = [...$spans, ...$times?->spans($this->plan, $hop, $index === 0 ? $turn : 0) ?? []];
            $name = $this->plan->node($this->plan->endpoint($hop->toId)->nodeId)->name;
            $spans[] = Span::between(SpanKind::Processing, $name.' reads it', 0, self::LOOP_TYPICAL_NS, self::LOOP_NS);
        }

        return $spans;
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

    /** @return list<Span> from the control's doing something to the program's noticing */
    private function sampling(Route $route): array
    {
        $control = $this->plan->control($route->controlId);
        if ($control->kind->bounces()) {
            $debounceNs = $control->debounceMs * 1_000_000;

            return [Span::between(SpanKind::Sampling, 'debounce', $debounceNs, $debounceNs + self::LOOP_TYPICAL_NS, $debounceNs + self::LOOP_NS)];
        }
        if ($control->kind === ControlKind::Reading && ! $this->isAskedFor($route)) {
            $intervalNs = (new Values($control->settings))->whole('intervalS') * 1_000_000_000;

            return [Span::between(SpanKind::Sampling, 'until it is read', 0, intdiv($intervalNs, 2), $intervalNs)];
        }

        return [];
    }

    /** Whoever asks for a reading compares it whenever it is answered; a figure that is handed on goes at its interval all the same. */
    private function isAskedFor(Route $route): bool
    {
        $hop = ($this->paths->hops($route) ?? [])[0] ?? null;
        $isHandedOn = $route->action === Action::Set && $route->value === null;

        return $hop !== null && ! $isHandedOn && $this->knowledge->media->offering(AsksForReadings::class, $this->plan->link($hop->linkId)->medium)?->asksFor($this->plan, $hop) === true;
    }

    /** @return list<Span> */
    private function switching(Route $route): array
    {
        $output = $this->plan->output($route->outputId);
        if ($output->moduleId === null) {
            return [];
        }
        $class = $this->knowledge->catalogue->classOf($this->plan->module($output->moduleId));
        $typical = (int) ($class->switchTypicalMs * 1_000_000);

        return [Span::between(SpanKind::Switching, $output->kind->value, intdiv($typical, 2), $typical, (int) ($class->switchWorstMs * 1_000_000))];
    }
}
