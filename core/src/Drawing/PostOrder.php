<?php

declare(strict_types=1);

namespace Rundfunk\Drawing;

use Rundfunk\Plan\Node;
use Rundfunk\Plan\Place;
use Rundfunk\Plan\Plan;

/** In which order the posts of the line map stand: place by place, and within that so that lines are short and bars pass few foreign lines. */
final readonly class PostOrder
{
    /** Beyond this many nodes the order of the plan is kept: the search would be felt. */
    private const MOST = 80;

    private const PASSES = 6;

    /** A bar across a foreign line is worse than a line that is one post longer. */
    private const CROSSING = 3;

    /** @return list<Node> */
    public static function of(Plan $plan): array
    {
        $groups = self::groups($plan);
        if (count($plan->nodes()) > self::MOST) {
            return array_merge(...$groups);
        }
        $rows = self::rows($plan);
        $best = self::cost(array_merge(...$groups), $rows);
        for ($pass = 0; $pass < self::PASSES; $pass++) {
            $before = $best;
            $best = self::improve($groups, $rows, $best);
            if ($best === $before) {
                break;
            }
        }

        return array_merge(...$groups);
    }

    /** @return list<list<Node>> by place, in the places' order; nodes without a place last */
    private static function groups(Plan $plan): array
    {
        $groups = array_fill_keys([...array_map(static fn (Place $place): string => $place->id, $plan->places()), ''], []);
        foreach ($plan->nodes() as $node) {
            $groups[$node->placeId ?? ''][] = $node;
        }

        return array_values(array_filter($groups, static fn (array $here): bool => $here !== []));
    }

    /**
     * @param  list<list<Node>>  $groups
     * @param  array<string, list<int>>  $rows
     */
    private static function improve(array &$groups, array $rows, int $best): int
    {
        for ($group = 0; $group < count($groups); $group++) {
            for ($at = 0; $at + 1 < count($groups[$group]); $at++) {
                $trial = $groups;
                $trial[$group] = self::swapped($groups[$group], $at, $at + 1);
                $best = self::keepIfBetter($groups, $trial, $rows, $best);
            }
        }
        for ($one = 0; $one < count($groups); $one++) {
            for ($other = $one + 1; $other < count($groups); $other++) {
                $best = self::keepIfBetter($groups, self::swapped($groups, $one, $other), $rows, $best);
            }
        }

        return $best;
    }

    /**
     * @template T
     *
     * @param  list<T>  $items
     * @return list<T>
     */
    private static function swapped(array $items, int $one, int $other): array
    {
        $swapped = [];
        foreach (array_keys($items) as $at) {
            $swapped[] = $items[match ($at) {
                $one => $other,
                $other => $one,
                default => $at,
            }];
        }

        return $swapped;
    }

    /**
     * @param  list<list<Node>>  $groups
     * @param  list<list<Node>>  $trial
     * @param  array<string, list<int>>  $rows
     */
    private static function keepIfBetter(array &$groups, array $trial, array $rows, int $best): int
    {
        $cost = self::cost(array_merge(...$trial), $rows);
        if ($cost >= $best) {
            return $best;
        }
        $groups = $trial;

        return $cost;
    }

    /** @return array<string, list<int>> the rows of the lines that each node is on, rising */
    private static function rows(Plan $plan): array
    {
        $rows = [];
        foreach ($plan->links() as $row => $link) {
            foreach ($plan->endpointsOn($link) as $end) {
                $rows[$end->nodeId][] = $row;
            }
        }

        return $rows;
    }

    /**
     * @param  list<Node>  $order
     * @param  array<string, list<int>>  $rows
     */
    private static function cost(array $order, array $rows): int
    {
        $first = [];
        $last = [];
        foreach ($order as $at => $node) {
            foreach ($rows[$node->id] ?? [] as $row) {
                $first[$row] ??= $at;
                $last[$row] = $at;
            }
        }
        $cost = 0;
        foreach ($first as $row => $from) {
            $cost += $last[$row] - $from;
        }
        foreach ($order as $at => $node) {
            $own = $rows[$node->id] ?? [];
            for ($row = ($own[0] ?? 0) + 1; $row < ($own[count($own) - 1] ?? 0); $row++) {
                $foreign = ! in_array($row, $own, true) && isset($first[$row]) && $first[$row] < $at && $at < $last[$row];
                $cost += $foreign ? self::CROSSING : 0;
            }
        }

        return $cost;
    }
}
