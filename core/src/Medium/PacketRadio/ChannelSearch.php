<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio;

/**
 * Channels for all of a plan's packet links when they cannot all be clear and apart: the fewest that lie under Wi-Fi or
 * beside each other, then the fewest that change, then out of Wi-Fi's skirts, then as low as they can be. With few links
 * every arrangement that could be better is tried (branch and bound); with many, one and two links at a time are moved as
 * long as that helps.
 */
final class ChannelSearch
{
    /** With so many open links everything is tried. */
    private const TRY_ALL = 6;

    /** As long as a person waits: arrangements that are begun before what has been found is taken. */
    private const MOST_STEPS = 150_000;

    /** @var list<int> */
    private array $best;

    /** @var array{int, int, list<int>} what it costs, its highest channel, its channels */
    private array $worth;

    private int $steps = 0;

    /** A change weighs more than all links in Wi-Fi's skirts, a warning more than all changes beside. */
    private readonly int $change;

    private readonly int $warning;

    /**
     * @param  list<ChannelWish>  $links
     * @param  list<int>  $start  a channel for each
     */
    private function __construct(private readonly array $links, array $start)
    {
        $this->change = count($links) + 1;
        $this->warning = $this->change ** 2;
        $this->best = $start;
        $this->worth = $this->worth($start);
    }

    /**
     * @param  list<ChannelWish>  $links
     * @param  list<int>  $start  a channel for each, which is bettered
     * @return list<int>
     */
    public static function better(array $links, array $start): array
    {
        $search = new self($links, $start);
        if ($search->warns()) {
            $search->byMoving();
            $open = array_keys(array_filter($links, static fn (ChannelWish $link): bool => ! $link->pinned));
            if (count($open) <= self::TRY_ALL) {
                $unsettled = array_fill_keys($open, true);
                $search->byTrying($open, $start, $unsettled, $search->costs($start, $unsettled));
            }
        }

        return $search->best;
    }

    private function warns(): bool
    {
        return $this->worth[0] >= $this->warning;
    }

    /** One link, or two, are put elsewhere, as long as that is better. */
    private function byMoving(): void
    {
        do {
            $found = false;
            foreach ($this->links as $index => $link) {
                foreach ($link->pinned ? [] : $link->candidates() as $channel) {
                    $found = $this->keepIfBetter(array_replace($this->best, [$index => $channel])) || $found;
                }
            }
            if (! $found && $this->warns()) {
                $found = $this->byMovingTwo();
            }
        } while ($found);
    }

    private function byMovingTwo(): bool
    {
        foreach ($this->links as $index => $link) {
            foreach ($this->links as $other => $next) {
                if ($other <= $index || $link->pinned || $next->pinned) {
                    continue;
                }
                // What the two add to the rest is known beforehand for every place of each; most arrangements end there.
                $moving = [$index => true, $other => true];
                $rest = $this->costs($this->best, $moving);
                $seconds = [];
                foreach ($next->candidates() as $with) {
                    $seconds[$with] = $this->cost($other, $with, $this->best, $moving);
                }
                $apart = max($link->spacing, $next->spacing);
                foreach ($link->candidates() as $channel) {
                    $first = $rest + $this->cost($index, $channel, $this->best, $moving);
                    foreach ($seconds as $with => $second) {
                        if ($this->steps++ < self::MOST_STEPS && $first + $second + (abs($channel - $with) < $apart ? $this->warning : 0) <= $this->worth[0]
                            && $this->keepIfBetter(array_replace($this->best, [$index => $channel, $other => $with]))) {
                            return true;
                        }
                    }
                }
            }
        }

        return false;
    }

    /**
     * @param  list<int>  $open  indexes of links that may move, of which the first are settled
     * @param  list<int>  $channels
     * @param  array<int, true>  $unsettled  those of the open links that do not count yet
     * @param  int  $cost  of all that count
     */
    private function byTrying(array $open, array $channels, array $unsettled, int $cost): void
    {
        if ($this->steps++ > self::MOST_STEPS) {
            return;
        }
        if ($unsettled === []) {
            $this->keepIfBetter($channels);

            return;
        }
        $index = $open[count($open) - count($unsettled)];
        foreach ($this->links[$index]->candidates() as $channel) {
            $channels = array_values(array_replace($channels, [$index => $channel]));
            $more = $cost + $this->cost($index, $channel, $channels, $unsettled);
            // What is settled already is never bettered by what comes after.
            if ($more <= $this->worth[0]) {
                $this->byTrying($open, $channels, array_diff_key($unsettled, [$index => true]), $more);
            }
        }
    }

    /** @param  array<int, int>  $channels */
    private function keepIfBetter(array $channels): bool
    {
        $channels = array_values($channels);
        $worth = $this->worth($channels);
        if ($worth >= $this->worth) {
            return false;
        }
        $this->best = $channels;
        $this->worth = $worth;

        return true;
    }

    /**
     * @param  list<int>  $channels
     * @return array{int, int, list<int>} the smaller the better
     */
    private function worth(array $channels): array
    {
        return [$this->costs($channels, []), $channels === [] ? 0 : max($channels), $channels];
    }

    /**
     * @param  array<int, int>  $channels
     * @param  array<int, true>  $open  links that do not count yet
     */
    private function costs(array $channels, array $open): int
    {
        $cost = 0;
        // Each pair once: with those before it.
        $later = $open + $this->links;
        foreach (array_keys(array_diff_key($this->links, $open)) as $index) {
            $cost += $this->cost($index, $channels[$index], $channels, $later);
            unset($later[$index]);
        }

        return $cost;
    }

    /**
     * Under Wi-Fi, beside which others, changed, in Wi-Fi's skirts.
     *
     * @param  array<int, int>  $channels  of the others
     * @param  array<int, mixed>  $open  links that do not count
     */
    private function cost(int $index, int $channel, array $channels, array $open): int
    {
        $link = $this->links[$index];
        $cost = (isset($link->clear[$channel]) ? 0 : $this->warning) + ($link->now !== null && $link->now !== $channel ? $this->change : 0) + (isset($link->roomy[$channel]) ? 0 : 1);
        foreach ($this->links as $other => $second) {
            if ($other !== $index && ! isset($open[$other]) && abs($channel - $channels[$other]) < max($link->spacing, $second->spacing)) {
                $cost += $this->warning;
            }
        }

        return $cost;
    }
}
