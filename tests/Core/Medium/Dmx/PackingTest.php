<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Dmx;

use Rundfunk\Medium\Dmx\Packing;
use Tests\Core\CoreTestCase;
use Tests\Core\Optimum;

/** Blocks of slots between those that stay: nothing overlaps, and the last slot is as low as can be proven. */
final class PackingTest extends CoreTestCase
{
    private const MODEL = <<<'M'
        int: n; int: k; array[1..n] of int: size; array[1..k] of int: first; array[1..k] of int: last;
        array[1..n] of var 1..512: start; var 0..512: top;
        constraint forall(i in 1..n)(start[i] + size[i] - 1 <= top);
        constraint forall(i in 1..n, j in 1..k)(start[i] + size[i] <= first[j] \/ start[i] > last[j]);
        constraint forall(i, j in 1..n where i < j)(start[i] + size[i] <= start[j] \/ start[j] + size[j] <= start[i]);
        constraint forall(i, j in 1..n where i < j /\ size[i] == size[j])(start[i] < start[j]);
        constraint forall(j in 1..k)(top >= last[j]);
        solve minimize top;
        output [show(top)];
        M;

    /**
     * @param  list<array{int, int}>  $taken
     * @param  list<int>  $sizes
     */
    private static function top(array $taken, array $sizes): int
    {
        $starts = Packing::of($taken, $sizes);
        self::assertNotNull($starts);
        $all = $taken;
        foreach ($starts as $at => $start) {
            $all[] = [$start, $start + $sizes[$at] - 1];
        }
        usort($all, static fn (array $one, array $other): int => $one <=> $other);
        foreach ($all as $at => [$first, $last]) {
            self::assertGreaterThan($at === 0 ? 0 : $all[$at - 1][1], $first);
            self::assertLessThanOrEqual(512, $last);
        }

        return max([0, ...array_column($all, 1)]);
    }

    public function test_up_to_twelve_are_packed_as_low_as_is_proven(): void
    {
        mt_srand(13);
        for ($draw = 0; $draw < 14; $draw++) {
            $taken = [];
            for ($next = mt_rand(1, 8); count($taken) < mt_rand(1, 4); $next += mt_rand(2, 22)) {
                $taken[] = [$next, $next + mt_rand(0, 7)];
                $next = $taken[count($taken) - 1][1] + 1;
            }
            $sizes = array_map(static fn (): int => mt_rand(1, 14), range(1, mt_rand(3, 8)));
            $proven = Optimum::of(self::MODEL, ['n' => (string) count($sizes), 'k' => (string) count($taken), 'size' => Optimum::list($sizes), 'first' => Optimum::list(array_column($taken, 0)), 'last' => Optimum::list(array_column($taken, 1))]);
            self::assertSame((int) $proven, self::top($taken, $sizes), json_encode([$taken, $sizes], JSON_THROW_ON_ERROR));
        }
    }

    public function test_many_are_packed_without_overlap_and_not_much_higher_than_they_are_wide(): void
    {
        mt_srand(14);
        for ($draw = 0; $draw < 60; $draw++) {
            $taken = [[50, 60], [100, 120], [200, 203]];
            $sizes = array_map(static fn (): int => mt_rand(1, 12), range(1, mt_rand(13, 40)));
            self::assertLessThanOrEqual(max(203, array_sum($sizes) + 11 + 21 + 4 + 3 * 12), self::top($taken, $sizes));
        }
    }

    public function test_what_does_not_fit_is_not_packed(): void
    {
        self::assertNull(Packing::of([[1, 500]], [13]));
        self::assertSame([501], Packing::of([[1, 500]], [12]));
        self::assertSame([1, 7, 13], Packing::of([], [6, 6, 6]), 'The first gets the lowest.');
        self::assertSame([], Packing::of([[4, 4]], []));
    }
}
