<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio;

/**
 * Chooses channels for several links at once: each legal and clear, spaced from the others, and the highest used as low
 * as it can be. With up to six links to settle it tries every order, and pushing each link down as far as it goes in
 * some order reaches every best arrangement; beyond six it takes them in their own order.
 */
final readonly class ChannelPlan
{
    private const TRY_ALL = 6;

    /**
     * @param  list<array{candidates: list<int>, spacing: int}>  $wanted  candidates rising
     * @param  list<array{channel: int, spacing: int}>  $fixed
     * @return list<int|null> a channel for each wanted link, null where none fits
     */
    public static function settle(array $wanted, array $fixed): array
    {
        $best = null;
        foreach (self::orders(count($wanted)) as $order) {
            $channels = self::inOrder($wanted, $fixed, $order);
            if ($best === null || self::worth($channels) < self::worth($best)) {
                $best = $channels;
            }
        }

        return $best ?? [];
    }

    /**
     * @param  list<array{candidates: list<int>, spacing: int}>  $wanted
     * @param  list<array{channel: int, spacing: int}>  $fixed
     * @param  list<int>  $order
     * @return list<int|null>
     */
    private static function inOrder(array $wanted, array $fixed, array $order): array
    {
        $channels = array_fill(0, count($wanted), null);
        $placed = $fixed;
        foreach ($order as $index) {
            foreach ($wanted[$index]['candidates'] as $channel) {
                if (self::clear($channel, $wanted[$index]['spacing'], $placed)) {
                    $channels[$index] = $channel;
                    $placed[] = ['channel' => $channel, 'spacing' => $wanted[$index]['spacing']];
                    break;
                }
            }
        }

        return array_values($channels);
    }

    /** @param  list<array{channel: int, spacing: int}>  $placed */
    private static function clear(int $channel, int $spacing, array $placed): bool
    {
        foreach ($placed as $other) {
            if (abs($channel - $other['channel']) < max($spacing, $other['spacing'])) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param  list<int|null>  $channels
     * @return array{int, int, list<int>} the smaller the better: links left out, highest channel, then the channels themselves
     */
    private static function worth(array $channels): array
    {
        $used = array_filter($channels, static fn (?int $channel): bool => $channel !== null);

        return [count($channels) - count($used), $used === [] ? 0 : max($used), array_map(static fn (?int $channel): int => $channel ?? PHP_INT_MAX, $channels)];
    }

    /** @return iterable<list<int>> */
    private static function orders(int $count): iterable
    {
        if ($count === 0) {
            return;
        }
        if ($count > self::TRY_ALL) {
            yield range(0, $count - 1);

            return;
        }
        yield from self::permutations(range(0, $count - 1));
    }

    /**
     * @param  list<int>  $items
     * @return iterable<list<int>>
     */
    private static function permutations(array $items): iterable
    {
        if (count($items) <= 1) {
            yield $items;

            return;
        }
        foreach ($items as $index => $item) {
            $rest = $items;
            unset($rest[$index]);
            foreach (self::permutations(array_values($rest)) as $tail) {
                yield [$item, ...$tail];
            }
        }
    }
}
