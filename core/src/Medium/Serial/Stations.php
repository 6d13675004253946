<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;

/**
 * Ids for the nodes of a line: each keeps the one it has where that will do; the others get the lowest that is free. One that can be few
 * ids, for it has few switches, takes the place of one that can be many (augmenting paths, Kuhn).
 */
final class Stations
{
    /** @var array<int, Endpoint> by id */
    private array $holder = [];

    /** @var array<string, int> ids as they are to be, by end; an end for which none is left is not there */
    public readonly array $ids;

    private function __construct(Plan $plan, Link $link)
    {
        $ends = $plan->endpointsOn($link);
        usort($ends, static fn (Endpoint $one, Endpoint $other): int => [$other->pins('station'), SerialEnd::of($one)->highestId(), $one->order, $one->id] <=> [$one->pins('station'), SerialEnd::of($other)->highestId(), $other->order, $other->id]);
        $wanting = [];
        foreach ($ends as $end) {
            $at = SerialEnd::of($end);
            if ($at->station !== null && (($at->canBe($at->station) && ! isset($this->holder[$at->station])) || $end->pins('station'))) {
                $this->holder[$at->station] ??= $end;
            } elseif (! $end->pins('station')) {
                $wanting[] = $end;
            }
        }
        foreach ($wanting as $end) {
            $seen = [];
            $this->place($end, $seen);
        }
        $ids = [];
        foreach ($this->holder as $id => $end) {
            $ids[$end->id] = $id;
        }
        $this->ids = $ids;
    }

    public static function of(Plan $plan, Link $link): self
    {
        return new self($plan, $link);
    }

    /** @return int|null the lowest id that an end can be and that nobody has; null where none is left */
    public static function free(Plan $plan, Link $link, Endpoint $for): ?int
    {
        $taken = array_map(static fn (Endpoint $end): ?int => SerialEnd::of($end)->station, $plan->endpointsOn($link));
        foreach (range(1, SerialEnd::of($for)->highestId()) as $id) {
            if (! in_array($id, $taken, true)) {
                return $id;
            }
        }

        return null;
    }

    /** @param  array<int, true>  $seen  ids that were asked for already */
    private function place(Endpoint $end, array &$seen): bool
    {
        $highest = SerialEnd::of($end)->highestId();
        for ($id = 1; $id <= $highest; $id++) {
            if (! isset($this->holder[$id])) {
                $this->holder[$id] = $end;

                return true;
            }
        }
        for ($id = 1; $id <= $highest; $id++) {
            $holder = $this->holder[$id];
            if (isset($seen[$id]) || $holder->pins('station')) {
                continue;
            }
            $seen[$id] = true;
            if ($this->place($holder, $seen)) {
                $this->holder[$id] = $end;

                return true;
            }
        }

        return false;
    }
}
