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

    /** @var array{int, int, int, int, list<int>} */
    private array $worth;

    private int $steps = 0;

    /**
     * @param  list<ChannelWish>  $links
     * @param  list<int>  $start  a channel for each
     */
    private function __construct(private readonly array $links, array $start)
    {
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
        if ($search->worth[0] > 0) {
            $search->byMoving();
            $open = array_keys(array_filter($links, static fn (ChannelWish $link): bool => ! $link->pinned));
            if (count($open) <= self::TRY_ALL) {
                $search->byTrying($open, $start, 0);
            }
        }

        return $search->best;
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
            if (! $found && $this->worth[0] > 0) {
                $found = $this->byMovingTwo();
            }
        } while ($found);
    }

    private function byMovingTwo(): bool
    {
        foreach ($this->links as $index => $link) {
            foreach ($this->links as $other => $second) {
                if ($other <= $index || $link->pinned || $second->pinned) {
                    continue;
                }
                foreach ($link->candidates() as $channel) {
                    foreach ($second->candidates() as $with) {
                        if ($this->steps++ < self::MOST_STEPS && $this->keepIfBetter(array_replace($this->best, [$index => $channel, $other => $with]))) {
                            return true;
                        }
                    }
                }
            }
        }

        return false;
    }

    /**
     * @param  list<int>  $open  indexes of links that may move
     * @param  list<int>  $channels  of which the first so many of the open ones are settled
     */
    private function byTrying(array $open, array $channels, int $settled): void
    {
        if ($this->steps++ > self::MOST_STEPS) {
            return;
        }
        if ($settled === count($open)) {
            $this->keepIfBetter($channels);

            return;
        }
        $index = $open[$settled];
        foreach ($this->links[$index]->candidates() as $channel) {
            $channels = array_values(array_replace($channels, [$index => $channel]));
            // What is settled already is never bettered by what comes after.
            if ($this->warnings($channels, array_slice($open, $settled + 1)) <= $this->worth[0]) {
                $this->byTrying($open, $channels, $settled + 1);
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
     * @return array{int, int, int, int, list<int>} the smaller the better
     */
    private function worth(array $channels): array
    {
        $changes = 0;
        $inSkirts = 0;
        foreach ($this->links as $index => $link) {
            $changes += $link->now !== null && $link->now !== $channels[$index] ? 1 : 0;
            $inSkirts += isset($link->roomy[$channels[$index]]) ? 0 : 1;
        }

        return [$this->warnings($channels, []), $changes, $inSkirts, $channels === [] ? 0 : max($channels), $channels];
    }

    /**
     * @param  array<int, int>  $channels
     * @param  list<int>  $open  links that do not count yet
     */
    private function warnings(array $channels, array $open): int
    {
        $count = 0;
        $open = array_flip($open);
        foreach ($this->links as $index => $link) {
            if (isset($open[$index])) {
                continue;
            }
            $count += isset($link->clear[$channels[$index]]) ? 0 : 1;
            for ($other = 0; $other < $index; $other++) {
                if (! isset($open[$other]) && abs($channels[$index] - $channels[$other]) < max($link->spacing, $this->links[$other]->spacing)) {
                    $count++;
                }
            }
        }

        return $count;
    }
}
