<?php

declare(strict_types=1);

namespace Tests\Core\Medium\PacketRadio;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Catalogue\Band;
use Rundfunk\Medium\PacketRadio\ChannelPlan;
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
}
