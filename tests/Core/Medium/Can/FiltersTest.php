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

    /** Every mask for either bank, every way to part: no more than two worse, and most often as good. */
    public function test_hardly_any_more_strangers_than_the_fewest_there_can_be(): void
    {
        $chance = new Randomizer(new Mt19937(8));
        $asGood = 0;
        for ($time = 0; $time < 20; $time++) {
            // Identifiers of seven bits, so that all masks can be tried.
            $ids = array_slice($chance->shuffleArray(range(0, 127)), 0, 22);
            [$wanted, $others] = [array_slice($ids, 0, 8), array_slice($ids, 8)];
            $found = count(Filters::for($wanted, $ids)->strangers);
            $fewest = self::fewest($wanted, $others);
            self::assertLessThanOrEqual($fewest + 2, $found);
            $asGood += $found === $fewest ? 1 : 0;
        }

        self::assertGreaterThanOrEqual(12, $asGood);
    }

    /**
     * @param  list<int>  $wanted
     * @param  list<int>  $others
     */
    private static function fewest(array $wanted, array $others): int
    {
        $least = [];
        foreach ([2, 4] as $filters) {
            $best = array_fill(0, 1 << count($wanted), [PHP_INT_MAX, 0]);
            for ($mask = 0; $mask < 128; $mask++) {
                for ($set = 0; $set < 1 << count($wanted); $set++) {
                    $values = [];
                    foreach ($wanted as $at => $id) {
                        if ((($set >> $at) & 1) === 1) {
                            $values[$id & $mask] = true;
                        }
                    }
                    if (count($values) <= $filters) {
                        $in = count(array_filter($others, static fn (int $id): bool => isset($values[$id & $mask])));
                        $best[$set] = min($best[$set], [$in, $mask]);
                    }
                }
            }
            $least[] = $best;
        }
        $fewest = PHP_INT_MAX;
        $all = (1 << count($wanted)) - 1;
        for ($set = 0; $set <= $all; $set++) {
            if ($least[0][$set][0] < PHP_INT_MAX && $least[1][$all & ~$set][0] < PHP_INT_MAX) {
                // Who comes through both counts twice here: the fewest may be fewer by that, which only makes the test easier to pass where it is harder to be right.
                $fewest = min($fewest, $least[0][$set][0] + $least[1][$all & ~$set][0]);
            }
        }

        return $fewest;
    }
}
