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

    private function __construct(private readonly SerialLine $line)
    {
        $ends = array_values(array_filter($line->ends, $line->hasId(...)));
        usort($ends, static fn (Endpoint $one, Endpoint $other): int => [$other->pins('station'), $line->highestId($one), $one->order, $one->id] <=> [$one->pins('station'), $line->highestId($other), $other->order, $other->id]);
        $wanting = [];
        foreach ($ends as $end) {
            $at = SerialEnd::of($end);
            if ($at->station !== null && (($at->station !== SerialEnd::EVERYBODY && $at->station <= $line->highestId($end) && ! isset($this->holder[$at->station])) || $end->pins('station'))) {
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
        return new self(SerialLine::of($plan, $link));
    }

    /** @return int|null the lowest id that an end can be and that nobody has; null where none is left */
    public static function free(Plan $plan, Link $link, Endpoint $for): ?int
    {
        $line = SerialLine::of($plan, $link);
        $taken = array_map(static fn (Endpoint $end): ?int => $line->hasId($end) ? SerialEnd::of($end)->station : null, $line->ends);
        for ($id = 1; $id <= $line->highestId($for); $id++) {
            if (! in_array($id, $taken, true)) {
                return $id;
            }
        }

        return null;
    }

    /** @param  array<int, true>  $seen  ids that were asked for already */
    private function place(Endpoint $end, array &$seen): bool
    {
        $highest = $this->line->highestId($end);
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
