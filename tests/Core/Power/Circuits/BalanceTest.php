<?php

declare(strict_types=1);

namespace Tests\Core\Power\Circuits;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Rundfunk\Power\Circuits\Balance;
use Tests\Core\Optimum;

/** Spreading loads, against minizinc's proven optimum. */
final class BalanceTest extends TestCase
{
    /** Loads in watts, bins with a size in tenths of amperes and so many channels; the fullest bin's share is to be least. */
    private const MODEL = <<<'Z'
        int: n; int: m;
        array[1..n] of int: watts;
        array[1..m] of int: size;
        array[1..m] of int: room;
        int: whole = product(size);
        int: most = sum(watts) * whole;
        array[1..n] of var 1..m: bin;
        array[1..m] of var 0..sum(watts): load;
        constraint forall(b in 1..m)(load[b] = sum(i in 1..n)(bool2int(bin[i] = b) * watts[i]));
        constraint sum(load) = sum(watts);
        constraint forall(b in 1..m)(sum(i in 1..n)(bool2int(bin[i] = b)) <= room[b]);
        var 0..most: share;
        constraint forall(b in 1..m)(share >= load[b] * (whole div size[b]));
        solve :: seq_search([int_search([share], input_order, indomain_min), int_search([bin[i] | i in 1..n], input_order, indomain_min)]) minimize share;
        output [show(share)];
        Z;

    /** @return iterable<string, array{list<int>, list<int>, list<int>}> watts, sizes, rooms */
    public static function spreads(): iterable
    {
        $random = new Randomizer(new Mt19937(14));
        $drawn = static fn (int $count): array => array_map(static fn (): int => $random->getInt(5, 150), range(1, $count));
        yield '24 over three banks of eight' => [$drawn(24), [1, 1, 1], [8, 8, 8]];
        yield '24 over two circuits' => [$drawn(24), [1, 1], [24, 24]];
        yield '24 over a large and a small circuit' => [$drawn(24), [2, 1], [24, 24]];
        yield '9 over three banks of four' => [$drawn(9), [1, 1, 1], [4, 4, 4]];
        yield '7 over circuits of 16, 10 and 6 A' => [$drawn(7), [8, 5, 3], [7, 7, 7]];
        yield '5 that do not come out even' => [[95, 80, 55, 50, 45], [1, 1], [5, 5]];
        yield '4 of which one is more than the rest' => [[400, 30, 20, 10], [1, 1], [4, 4]];
    }

    /**
     * @param  list<int>  $watts
     * @param  list<int>  $sizes
     * @param  list<int>  $rooms
     */
    #[DataProvider('spreads')]
    public function test_nothing_spreads_them_better(array $watts, array $sizes, array $rooms): void
    {
        $least = (int) Optimum::of(self::MODEL, ['n' => (string) count($watts), 'm' => (string) count($sizes), 'watts' => Optimum::list(self::sorted($watts)), 'size' => Optimum::list($sizes), 'room' => Optimum::list($rooms)]);
        $balance = Balance::of($watts, $sizes, null, $rooms);
        self::assertNotNull($balance);
        self::assertTrue($balance['proven']);
        self::assertEqualsWithDelta($least / array_product($sizes), $balance['share'], 1e-6);
        $loads = array_fill(0, count($sizes), 0);
        foreach ($balance['bins'] as $index => $bin) {
            $loads[$bin] += $watts[$index];
            self::assertGreaterThanOrEqual(0, --$rooms[$bin]);
        }
        self::assertEqualsWithDelta($balance['share'], max(array_map(static fn (int $load, int $size): float => $load / $size, $loads, $sizes)), 1e-9);
    }

    /**
     * @param  list<int>  $watts
     * @return list<int> the heaviest first: the solver is done sooner
     */
    private static function sorted(array $watts): array
    {
        rsort($watts);

        return $watts;
    }

    public function test_what_finds_no_room_is_not_spread(): void
    {
        self::assertNull(Balance::of([10, 10, 10], [1, 1], null, [1, 1]));
        self::assertSame([], Balance::of([], [1])['bins'] ?? null);
    }
}
