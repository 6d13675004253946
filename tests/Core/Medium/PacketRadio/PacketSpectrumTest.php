<?php

declare(strict_types=1);

namespace Tests\Core\Medium\PacketRadio;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Catalogue\Band;
use Rundfunk\Medium\PacketRadio\ChannelPlan;
use Rundfunk\Medium\PacketRadio\ChannelSearch;
use Rundfunk\Medium\PacketRadio\ChannelWish;
use Rundfunk\Medium\PacketRadio\PacketRate;
use Rundfunk\Medium\PacketRadio\PacketSpectrum;
use Tests\Core\CoreTestCase;

final class PacketSpectrumTest extends CoreTestCase
{
    private static function spectrum(PacketRate $rate, int ...$busyWifi): PacketSpectrum
    {
        return new PacketSpectrum(new Band('packet-radio', 2400.0, 2483.5, 10.0, 'test'), array_values($busyWifi), $rate);
    }

    public function test_legal_channels_are_1_to_83_and_1_to_82_for_the_wide_rate(): void
    {
        self::assertSame(range(1, 83), self::spectrum(PacketRate::Kbps250)->legalChannels());
        self::assertSame(range(1, 83), self::spectrum(PacketRate::Kbps1000)->legalChannels());
        self::assertSame(range(1, 82), self::spectrum(PacketRate::Kbps2000)->legalChannels());
    }

    /** @return iterable<string, array{int, int}> */
    public static function wifiCentres(): iterable
    {
        // IEEE 802.11: 2407 + 5n MHz for 1 to 13, 2484 for 14.
        foreach ([1 => 2412, 6 => 2437, 11 => 2462, 13 => 2472, 14 => 2484] as $channel => $mhz) {
            yield "Wi-Fi {$channel}" => [$channel, $mhz];
        }
    }

    #[DataProvider('wifiCentres')]
    public function test_wifi_channels_are_where_the_standard_puts_them(int $channel, int $mhz): void
    {
        self::assertSame($mhz, PacketSpectrum::wifiCentreMhz($channel));
    }

    public function test_wifi_1_6_and_11_leave_these_channels_clear(): void
    {
        // 2401–2423, 2426–2448, 2451–2473
        self::assertSame([24, 25, 49, 50, ...range(74, 83)], self::spectrum(PacketRate::Kbps1000, 1, 6, 11)->clearChannels());
        self::assertSame(range(76, 83), self::spectrum(PacketRate::Kbps1000, 1, 6, 11)->roomyChannels());
    }

    /** Proven by a constraint solver (minizinc with gecode): no arrangement of six ends lower than channel 80. */
    public function test_six_links_two_apart_clear_of_wifi_end_at_80(): void
    {
        $candidates = self::spectrum(PacketRate::Kbps1000, 1, 6, 11)->clearChannels();
        $channels = ChannelPlan::settle(array_fill(0, 6, ['candidates' => $candidates, 'spacing' => 2]), []);
        self::assertSame([24, 49, 74, 76, 78, 80], $channels);
    }

    public function test_mixed_rates_are_settled_as_low_as_an_exhaustive_search_can(): void
    {
        $wanted = [
            ['candidates' => range(1, 14), 'spacing' => 4],
            ['candidates' => range(1, 14), 'spacing' => 1],
            ['candidates' => range(1, 14), 'spacing' => 2],
            ['candidates' => range(3, 14), 'spacing' => 4],
        ];
        $fixed = [['channel' => 6, 'spacing' => 2]];
        $settled = ChannelPlan::settle($wanted, $fixed);
        self::assertNotContains(null, $settled);
        self::assertSame(self::lowestHighest($wanted, $fixed), max($settled));
    }

    /**
     * @param  list<array{candidates: list<int>, spacing: int}>  $wanted
     * @param  list<array{channel: int, spacing: int}>  $placed
     */
    private static function lowestHighest(array $wanted, array $placed, int $highest = 0): int
    {
        if ($wanted === []) {
            return $highest;
        }
        $best = PHP_INT_MAX;
        $next = array_shift($wanted);
        foreach ($next['candidates'] as $channel) {
            $clear = array_filter($placed, static fn (array $other): bool => abs($channel - $other['channel']) < max($next['spacing'], $other['spacing'])) === [];
            if ($clear) {
                $best = min($best, self::lowestHighest($wanted, [...$placed, ['channel' => $channel, 'spacing' => $next['spacing']]], max($highest, $channel)));
            }
        }

        return $best;
    }

    public function test_a_link_that_cannot_be_placed_is_left_out(): void
    {
        self::assertSame([1, null], ChannelPlan::settle([['candidates' => [1, 2], 'spacing' => 4], ['candidates' => [1, 2], 'spacing' => 4]], []));
    }

    /** @return iterable<string, array{list<int>, list<array{int, int|null}>, int, int}> busy Wi-Fi, rate and channel of each link, warnings and changes at best */
    public static function crowded(): iterable
    {
        // E10, worked by hand: beside Wi-Fi 1, 6, 11 a wide link is clear at 75 to 82 alone: two of three find room four apart.
        yield 'three wide links' => [[1, 6, 11], [[2000, null], [2000, null], [2000, null]], 1, 0];
        // 250k at 80 and 2M at 75 leave no room for another 2M; with the narrow one at 24 there is 79.
        yield 'one that could stay makes room' => [[1, 6, 11], [[250, 80], [2000, 75], [2000, null]], 0, 1];
        yield 'room for all' => [[1], [[2000, null], [1000, null], [250, null]], 0, 0];
        yield 'sound as it is' => [[1, 6, 11], [[250, 76], [250, 78]], 0, 0];
        yield 'no Wi-Fi at all' => [[], array_fill(0, 8, [2000, null]), 0, 0];
        yield 'ten narrow links' => [[1, 6, 11], array_fill(0, 10, [250, null]), 0, 0];
    }

    /**
     * @param  list<int>  $busy
     * @param  list<array{int, int|null}>  $links
     */
    #[DataProvider('crowded')]
    public function test_where_not_all_can_be_clear_the_fewest_suffer_and_the_fewest_change(array $busy, array $links, int $warnings, int $changes): void
    {
        $sketch = self::sketch('eu', $busy);
        foreach ($links as $index => [$rate, $channel]) {
            $sketch->link("l{$index}", "L{$index}", 'packet-radio', ['rateKbps' => $rate, 'channel' => $channel]);
        }
        $before = $sketch->plan();
        $plan = self::assigner()->assign($before)->plan;
        self::assertCount($warnings, [...self::found($plan, 'packet-channel-under-wifi'), ...self::found($plan, 'packet-links-too-close')]);
        $changed = 0;
        foreach ($plan->links() as $index => $link) {
            self::assertNotNull($link->settings['channel']);
            $changed += ($links[$index][1] ?? $link->settings['channel']) === $link->settings['channel'] ? 0 : 1;
        }
        self::assertSame($changes, $changed);
        self::assertSame([], self::assigner()->assign($plan)->proposals);
    }

    public function test_the_search_is_as_good_as_trying_everything(): void
    {
        mt_srand(9);
        for ($round = 0; $round < 60; $round++) {
            $wishes = [];
            foreach (range(1, mt_rand(2, 3)) as $ignored) {
                $rate = [PacketRate::Kbps250, PacketRate::Kbps1000, PacketRate::Kbps2000][mt_rand(0, 2)];
                $legal = range(1, 14);
                $clear = array_fill_keys(array_filter($legal, static fn (int $channel): bool => mt_rand(0, 3) === 0), true);
                $wishes[] = new ChannelWish($rate->spacingChannels(), $legal, $clear, $clear, mt_rand(0, 1) === 1 ? mt_rand(1, 14) : null, mt_rand(0, 4) === 0);
            }
            $wishes = array_map(static fn (ChannelWish $wish): ChannelWish => $wish->pinned && $wish->now === null ? new ChannelWish($wish->spacing, $wish->legal, $wish->clear, $wish->roomy, 3, true) : $wish, $wishes);
            $found = ChannelSearch::better($wishes, array_map(static fn (ChannelWish $wish): int => $wish->now ?? 1, $wishes));
            self::assertSame(self::fewest($wishes, []), self::suffering($wishes, $found), "round {$round}");
        }
    }

    /**
     * @param  list<ChannelWish>  $wishes
     * @param  list<int>  $channels
     */
    private static function fewest(array $wishes, array $channels): int
    {
        $next = $wishes[count($channels)] ?? null;
        if ($next === null) {
            return self::suffering($wishes, $channels);
        }

        return min(array_map(static fn (int $channel): int => self::fewest($wishes, [...$channels, $channel]), $next->pinned ? [(int) $next->now] : $next->legal));
    }

    /**
     * @param  list<ChannelWish>  $wishes
     * @param  list<int>  $channels
     */
    private static function suffering(array $wishes, array $channels): int
    {
        $count = 0;
        foreach ($wishes as $index => $wish) {
            $count += isset($wish->clear[$channels[$index]]) ? 0 : 1;
            for ($other = 0; $other < $index; $other++) {
                $count += abs($channels[$index] - $channels[$other]) < max($wish->spacing, $wishes[$other]->spacing) ? 1 : 0;
            }
        }

        return $count;
    }
}
