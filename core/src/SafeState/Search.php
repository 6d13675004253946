<?php

declare(strict_types=1);

namespace Rundfunk\SafeState;

use Closure;
use SplPriorityQueue;

/**
 * The cheapest sets of remedies that do, by going through all sets in the order of what they cost (uniform-cost search): what it finds first, no
 * cheaper set does. Of two that cost the same the one of fewer things, then the one whose things stand earlier.
 */
final readonly class Search
{
    /** Other ways that are worth a look. */
    private const SHOWN = 5;

    /**
     * @param  list<Remedy>  $remedies  at most a dozen
     * @param  Closure(Setup): bool  $does
     * @return list<list<Remedy>> the cheapest first; of those that come after, none holds one before it whole
     */
    public static function cheapest(Setup $setup, array $remedies, Closure $does): array
    {
        $found = [];
        $queue = new SplPriorityQueue;
        $queue->insert([0, []], self::priority([]));
        while (! $queue->isEmpty() && count($found) < self::SHOWN) {
            /** @var array{int, list<Remedy>} $one */
            $one = $queue->extract();
            [$next, $set] = $one;
            if (self::holdsOneOf($found, $set)) {
                continue;
            }
            if ($set !== [] && $does(self::apply($setup, $set))) {
                $found[] = $set;

                continue;
            }
            for ($index = $next; $index < count($remedies); $index++) {
                $more = [...$set, $remedies[$index]];
                $queue->insert([$index + 1, $more], self::priority($more));
            }
        }

        return $found;
    }

    /** @param  list<Remedy>  $set */
    public static function cost(array $set): int
    {
        return array_sum(array_map(static fn (Remedy $remedy): int => $remedy->kind->cost(), $set));
    }

    /** @param  list<Remedy>  $set */
    public static function apply(Setup $setup, array $set): Setup
    {
        foreach ($set as $remedy) {
            $setup = $setup->with($remedy->makes);
        }

        return $setup;
    }

    /**
     * @param  list<Remedy>  $set
     * @return int the greatest goes first: by cost, then by how many, then by which
     */
    private static function priority(array $set): int
    {
        $key = self::cost($set) * 16 + count($set);
        for ($place = 0; $place < count(RemedyKind::cases()); $place++) {
            $key = $key * 16 + (isset($set[$place]) ? 1 + (int) array_search($set[$place]->kind, RemedyKind::cases(), true) : 0);
        }

        return -$key;
    }

    /**
     * @param  list<list<Remedy>>  $found
     * @param  list<Remedy>  $set
     */
    private static function holdsOneOf(array $found, array $set): bool
    {
        foreach ($found as $one) {
            if (count(array_filter($one, static fn (Remedy $remedy): bool => in_array($remedy, $set, true))) === count($one)) {
                return true;
            }
        }

        return false;
    }
}
