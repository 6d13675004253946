<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Can;

use Random\Engine\Mt19937;
use Random\Randomizer;
use Rundfunk\Medium\Can\Filters;
use Rundfunk\Medium\Can\Recording;
use Tests\Core\CoreTestCase;

/** What is wanted comes through, and few others: two masks, with two filters and with four. */
final class FiltersTest extends CoreTestCase
{
    public function test_all_that_is_wanted_comes_through_and_who_else_does_is_said(): void
    {
        $chance = new Randomizer(new Mt19937(3));
        for ($time = 0; $time < 60; $time++) {
            $ids = array_map(static fn (): int => $chance->getInt(0, 3) === 0 ? $chance->getInt(0, 0x1FFF_FFFF) | Recording::EXTENDED : $chance->getInt(0, 0x7FF), range(1, $chance->getInt(2, 30)));
            $ids = array_values(array_unique($ids));
            $wanted = array_slice($ids, 0, $chance->getInt(1, min(14, count($ids))));
            $filters = Filters::for($wanted, $ids);
            foreach ($wanted as $id) {
                self::assertTrue($filters->letsThrough($id), Recording::hex($id));
            }
            self::assertEqualsCanonicalizing(array_values(array_filter(array_diff($ids, $wanted), $filters->letsThrough(...))), $filters->strangers);
            foreach ($filters->banks as $bank => $made) {
                self::assertLessThanOrEqual([2, 4][$bank], count($made['filters']));
            }
        }
    }

    /** Against every pair of masks there is and every way to part, of identifiers of six bits. */
    public function test_no_more_strangers_than_the_fewest_there_can_be(): void
    {
        $chance = new Randomizer(new Mt19937(8));
        $leaks = 0;
        for ($time = 0; $time < 8; $time++) {
            $ids = array_slice($chance->shuffleArray(range(0, 63)), 0, 40);
            [$wanted, $others] = [array_slice($ids, 0, 8), array_slice($ids, 8)];
            $fewest = self::fewest($wanted, $others);
            self::assertCount($fewest, Filters::for($wanted, $ids)->strangers, implode(' ', $ids));
            $leaks += $fewest > 0 ? 1 : 0;
        }
        self::assertGreaterThan(2, $leaks, 'few would be hard');
    }

    /** Each length on a mask of its own, and of a pair of masks it matters which. */
    public function test_the_fewest_with_identifiers_of_both_lengths(): void
    {
        $extended = array_map(static fn (int $id): int => $id | Recording::EXTENDED, [0x10, 0x21, 0x32]);
        $known = [...$extended, ...array_map(static fn (int $id): int => $id | Recording::EXTENDED, range(0x40, 0x4F)), 0x100, 0x101, 0x102, 0x7FF];
        $filters = Filters::for([...$extended, 0x100, 0x102], $known);
        self::assertSame([], $filters->strangers);
        self::assertEqualsCanonicalizing([false, true], array_column($filters->banks, 'extended'));
    }

    /**
     * @param  list<int>  $wanted
     * @param  list<int>  $others
     */
    private static function fewest(array $wanted, array $others): int
    {
        $all = (1 << count($wanted)) - 1;
        $through = [];
        foreach ([2, 4] as $filters) {
            for ($mask = 0; $mask < 64; $mask++) {
                for ($set = 0; $set <= $all; $set++) {
                    $values = [];
                    foreach ($wanted as $at => $id) {
                        if ((($set >> $at) & 1) === 1) {
                            $values[$id & $mask] = true;
                        }
                    }
                    if (count($values) <= $filters) {
                        $in = 0;
                        foreach ($others as $at => $id) {
                            $in |= isset($values[$id & $mask]) ? 1 << $at : 0;
                        }
                        $through[$filters][$set][$in] = true;
                    }
                }
            }
        }
        $fewest = PHP_INT_MAX;
        foreach ($through[2] ?? [] as $set => $first) {
            foreach (array_keys($first) as $one) {
                foreach (array_keys($through[4][$all & ~$set] ?? []) as $other) {
                    $fewest = min($fewest, substr_count(decbin($one | $other), '1'));
                }
            }
        }

        return $fewest;
    }
}
