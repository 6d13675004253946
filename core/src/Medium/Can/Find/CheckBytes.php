<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Find;

/**
 * Which bytes of an identifier's frames check the others: they follow from them. A sum or exclusive or with them stays the same, or else a
 * byte that turns about half its bits whenever anything else turns, and is the same whenever all else is.
 */
final readonly class CheckBytes
{
    /** Enough to tell. */
    private const FRAMES = 400;

    private const CHANGES_LEAST = 6;

    /**
     * @param  list<int>  $words  each frame as one number, its first byte the lowest
     * @return list<int>
     */
    public static function of(array $words, int $bytes): array
    {
        $words = self::spread($words);
        $rows = array_map(static fn (int $word): array => self::bytesOf($word, $bytes), $words);
        if (count(array_unique($words)) < self::CHANGES_LEAST || $bytes < 2) {
            return [];
        }
        if (self::isConstant(array_map(self::together(...), $rows))) {
            return [self::likelier($rows, $bytes)];
        }
        if (self::isConstant(array_map(static fn (array $row): int => array_sum($row) & 0xFF, $rows))) {
            return [self::likelier($rows, $bytes)];
        }
        foreach ([$bytes - 1, 0] as $at) {
            // The sum of all others, or all of them against each other, and something besides.
            foreach ([static fn (array $rest): int => array_sum($rest), self::together(...)] as $sum) {
                if (self::isConstant(array_map(static fn (array $row): int => (self::without($row, $at, $sum) - $row[$at]) & 0xFF, $rows)) || self::isConstant(array_map(static fn (array $row): int => self::without($row, $at, $sum) & 0xFF ^ $row[$at], $rows))) {
                    return [$at];
                }
            }
            if (self::follows($rows, $at)) {
                return [$at];
            }
        }

        return [];
    }

    /**
     * All through the recording, in runs of neighbours: what follows from what is seen from one frame to the next.
     *
     * @param  list<int>  $words
     * @return list<int>
     */
    private static function spread(array $words): array
    {
        if (count($words) <= self::FRAMES) {
            return $words;
        }
        $run = intdiv(self::FRAMES, 4);
        $taken = [];
        foreach (range(0, 3) as $part) {
            $taken = [...$taken, ...array_slice($words, intdiv($part * (count($words) - $run), 3), $run)];
        }

        return $taken;
    }

    /** @return list<int> */
    private static function bytesOf(int $word, int $bytes): array
    {
        $row = [];
        for ($byte = 0; $byte < $bytes; $byte++) {
            $row[] = ($word >> (8 * $byte)) & 0xFF;
        }

        return $row;
    }

    /** @param  array<int>  $row */
    private static function together(array $row): int
    {
        return array_reduce($row, static fn (int $sum, int $byte): int => $sum ^ $byte, 0);
    }

    /**
     * @param  array<int>  $row
     * @param  callable(array<int>): int  $sum
     */
    private static function without(array $row, int $at, callable $sum): int
    {
        unset($row[$at]);

        return $sum($row);
    }

    /** @param  list<int>  $values */
    private static function isConstant(array $values): bool
    {
        return count(array_unique($values)) === 1;
    }

    /**
     * The last as a rule, the first where that never turns.
     *
     * @param  list<list<int>>  $rows
     */
    private static function likelier(array $rows, int $bytes): int
    {
        return self::isConstant(array_column($rows, $bytes - 1)) ? 0 : $bytes - 1;
    }

    /** @param  list<list<int>>  $rows */
    private static function follows(array $rows, int $at): bool
    {
        $known = [];
        $turned = $moved = $bits = $again = 0;
        foreach ($rows as $index => $row) {
            $check = $row[$at];
            unset($row[$at]);
            $rest = implode(',', $row);
            if (($known[$rest] ?? $check) !== $check) {
                return false;
            }
            $again += isset($known[$rest]) ? 1 : 0;
            $known[$rest] = $check;
            if ($index > 0 && $rest !== ($before ?? '')) {
                $turned++;
                $changed = $check ^ ($last ?? $check);
                $moved += $changed === 0 ? 0 : 1;
                $bits += substr_count(decbin($changed), '1');
            }
            [$before, $last] = [$rest, $check];
        }

        // That it was the same whenever all else was says something only where that was so, or where there are many.
        return ($again > 1 || count($rows) >= self::FRAMES / 4) && $turned >= self::CHANGES_LEAST && $moved >= 0.9 * $turned && $bits >= 2.5 * $moved;
    }
}
