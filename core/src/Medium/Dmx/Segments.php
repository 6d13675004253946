<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;

/** The stretches of cable of a universe. The sender drives segment 1; each splitter, in the order along the cable, so many more as it has outputs. */
final readonly class Segments
{
    /** A driver feeds no more. Source: ANSI E1.11, after TIA/EIA-485-A. */
    public const MOST_LOADS = 32;

    /** @param  array<int, Segment>  $segments  by number */
    private function __construct(private array $segments)
    {
    }

    public static function of(Plan $plan, Link $link): self
    {
        $ends = $plan->endpointsOn($link);
        $sender = null;
        foreach ($ends as $end) {
            $sender ??= $end->role->sends() ? $end : null;
        }
        $fed = $sender === null ? [] : [1 => $sender];
        $next = 2;
        if ($sender !== null) {
            // A driver of several outputs begins more than one.
            for ($more = DmxEnd::of($sender)->outputs; $more > 1; $more--) {
                $fed[$next++] = $sender;
            }
        }
        $on = [];
        foreach ($ends as $end) {
            if ($end->id === $sender?->id) {
                continue;
            }
            $settings = DmxEnd::of($end);
            $on[$settings->segment][] = $end;
            for ($more = $settings->outputs; $more > 0; $more--) {
                $fed[$next++] = $end;
            }
        }
        $segments = [];
        foreach (array_unique([...array_keys($on), 1]) as $number) {
            $segments[$number] = new Segment($number, $fed[$number] ?? null, $on[$number] ?? []);
        }
        ksort($segments);

        return new self($segments);
    }

    /** @return list<Segment> by number; those that nothing hangs on left out, but for the first */
    public function all(): array
    {
        return array_values($this->segments);
    }

    /** @return list<Endpoint> whose resistor is on where it should be off, or off where it should be on: at the last of each */
    public function wrongTerminators(): array
    {
        $wrong = [];
        foreach ($this->segments as $segment) {
            foreach ($segment->ends as $end) {
                if (DmxEnd::of($end)->terminated !== ($end->id === $segment->last()?->id)) {
                    $wrong[] = $end;
                }
            }
            // What drives a stretch stands at its beginning.
            if ($segment->number === 1 && $segment->fedBy !== null && DmxEnd::of($segment->fedBy)->terminated) {
                $wrong[] = $segment->fedBy;
            }
        }

        return $wrong;
    }

    /** @return float what the ends of a stretch take together */
    public static function loads(Universe $universe, Segment $segment): float
    {
        $loads = 0.0;
        foreach ($segment->ends as $end) {
            $loads += $universe->at($end)->type->unitLoads ?? 1.0;
        }

        return $loads;
    }
}
