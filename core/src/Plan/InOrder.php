<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

/** Things by their own order, then by id, so that no list depends on how it was stored. */
final readonly class InOrder
{
    /**
     * @template T of Thing
     *
     * @param  class-string<T>  $class  of all of them
     * @param  list<T>  $things
     * @return list<T>
     */
    public static function of(string $class, array $things): array
    {
        if (count($things) < 2) {
            return $things;
        }
        $ids = array_column($things, 'id');
        $orders = array_column($things, $class === Address::class ? 'pipe' : 'order');
        if ($orders === []) {
            $orders = array_fill(0, count($things), 0);
        }
        $sorted = true;
        for ($at = 1, $count = count($things); $sorted && $at < $count; $at++) {
            $sorted = $orders[$at - 1] < $orders[$at] || ($orders[$at - 1] === $orders[$at] && $ids[$at - 1] < $ids[$at]);
        }
        // A file's and a database's lists mostly are in order; sorting thousands to find that out is dear.
        if (! $sorted) {
            array_multisort($orders, SORT_ASC, SORT_NUMERIC, $ids, SORT_ASC, SORT_STRING, $things);
        }

        return $things;
    }

    /**
     * The same of ids alone, where nothing else of the things is asked for.
     *
     * @param  array<string, int>  $orders  the order of each, by id
     * @return list<string> ids
     */
    public static function ids(array $orders): array
    {
        $ids = array_keys($orders);
        $orders = array_values($orders);
        array_multisort($orders, SORT_ASC, SORT_NUMERIC, $ids, SORT_ASC, SORT_STRING);

        return $ids;
    }
}
