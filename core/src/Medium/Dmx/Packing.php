<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

/**
 * Blocks of slots, put between those that stay so that the last slot that is taken is as low as can be: the fewer slots, the more often all are
 * told. Exact for up to twelve blocks, by the table over all sets of them; beyond that the widest first, each where it first fits.
 */
final readonly class Packing
{
    public const EXACT = 12;

    /**
     * @param  list<array{int, int}>  $taken  first and last slot of what stays, by their first
     * @param  list<int>  $sizes  of the blocks
     * @return list<int>|null the first slot of each; null where they do not fit
     */
    public static function of(array $taken, array $sizes): ?array
    {
        $gaps = self::gaps($taken);
        $open = array_pop($gaps);
        $inside = count($sizes) <= self::EXACT ? self::exactly($gaps, $sizes) : self::widestFirst($gaps, $sizes);
        $starts = [];
        $next = array_column([...$gaps, $open], 0);
        $last = count($gaps);
        foreach ($sizes as $block => $size) {
            $gap = $inside[$block] ?? $last;
            $starts[] = $next[$gap];
            $next[$gap] += $size;
        }

        return $next[$last] - 1 > DmxFrame::MOST_SLOTS ? null : self::inTurn($starts, $sizes);
    }

    /**
     * The free stretches; the last is open to the end of the universe, and may be of nothing.
     *
     * @param  list<array{int, int}>  $taken
     * @return non-empty-list<array{int, int}> first slot, and how many
     */
    private static function gaps(array $taken): array
    {
        usort($taken, static fn (array $one, array $other): int => $one <=> $other);
        $gaps = [];
        $next = 1;
        foreach ($taken as [$first, $last]) {
            if ($first > $next) {
                $gaps[] = [$next, $first - $next];
            }
            $next = max($next, $last + 1);
        }

        return [...$gaps, [$next, max(0, DmxFrame::MOST_SLOTS + 1 - $next)]];
    }

    /**
     * Of every set of blocks, how far the gaps are filled at least when it is put into them, gap by gap. The set that takes the most slots goes
     * in; the rest goes behind.
     *
     * @param  list<array{int, int}>  $gaps
     * @param  list<int>  $sizes
     * @return array<int, int> gap by block, without those that go behind
     */
    private static function exactly(array $gaps, array $sizes): array
    {
        $count = count($sizes);
        /** @var array<int, array{int, int, int}|null> $filled  gap, how many slots of it, and the block that came last */
        $filled = [0 => [0, 0, -1]];
        $best = 0;
        $most = 0;
        for ($set = 1; $set < 1 << $count; $set++) {
            $filled[$set] = null;
            $slots = 0;
            for ($block = 0; $block < $count; $block++) {
                if (($set >> $block & 1) === 0) {
                    continue;
                }
                $slots += $sizes[$block];
                $before = $filled[$set & ~(1 << $block)];
                if ($before === null) {
                    continue;
                }
                [$gap, $used] = $before;
                while (isset($gaps[$gap]) && $used + $sizes[$block] > $gaps[$gap][1]) {
                    $gap++;
                    $used = 0;
                }
                if (isset($gaps[$gap]) && ($filled[$set] === null || [$gap, $used + $sizes[$block]] < [$filled[$set][0], $filled[$set][1]])) {
                    $filled[$set] = [$gap, $used + $sizes[$block], $block];
                }
            }
            if ($filled[$set] !== null && $slots > $most) {
                $most = $slots;
                $best = $set;
            }
        }
        $in = [];
        while ($best !== 0 && $filled[$best] !== null) {
            [$gap, , $block] = $filled[$best];
            $in[$block] = $gap;
            $best &= ~(1 << $block);
        }

        return $in;
    }

    /**
     * @param  list<array{int, int}>  $gaps
     * @param  list<int>  $sizes
     * @return array<int, int>
     */
    private static function widestFirst(array $gaps, array $sizes): array
    {
        $left = array_column($gaps, 1);
        $in = [];
        arsort($sizes);
        foreach ($sizes as $block => $size) {
            foreach ($left as $gap => $free) {
                if ($size <= $free) {
                    $in[$block] = $gap;
                    $left[$gap] -= $size;
                    break;
                }
            }
        }

        return $in;
    }

    /**
     * Of blocks as wide as each other the first gets the lowest place.
     *
     * @param  list<int>  $starts
     * @param  list<int>  $sizes
     * @return list<int>
     */
    private static function inTurn(array $starts, array $sizes): array
    {
        $places = [];
        foreach ($sizes as $block => $size) {
            $places[$size][] = $starts[$block];
        }
        foreach ($places as $size => $of) {
            sort($of);
            $places[$size] = $of;
        }
        $turned = [];
        foreach ($sizes as $size) {
            $turned[] = array_shift($places[$size]) ?? 1;
        }

        return $turned;
    }
}
