<?php

declare(strict_types=1);

namespace Tests\Core\Medium\PacketRadio;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Medium\PacketRadio\PacketExchange;
use Rundfunk\Medium\PacketRadio\PacketRate;
use Rundfunk\Medium\PacketRadio\PacketSettings;
use Rundfunk\Timing\Span;
use Tests\Core\CoreTestCase;

/** Times of one message, worked out by hand. Upload 2 µs a byte and one for the command; turn-round 130 µs. */
final class PacketExchangeTest extends CoreTestCase
{
    private static function exchange(PacketRate $rate, int $payload, bool $acknowledge, int $delayUs, int $retries): PacketExchange
    {
        return new PacketExchange(new PacketSettings(76, $rate, 5, $payload, 2, $acknowledge, 0, true, false), $delayUs, $retries);
    }

    /** @return iterable<string, array{PacketExchange, int, int}> exchange, best and worst for the sender, nanoseconds */
    public static function exchanges(): iterable
    {
        // upload (1+8)·2 = 18; frame (8·16+9)·4 = 548; acknowledge (8·8+9)·4 = 292
        yield '8 bytes at 250 kbit/s, no retries' => [
            self::exchange(PacketRate::Kbps250, 8, true, 500, 0),
            (18 + 130 + 548 + 130 + 292) * 1000,
            (18 + 130 + 548 + 500) * 1000,
        ];
        yield '8 bytes at 250 kbit/s, 15 retries' => [
            self::exchange(PacketRate::Kbps250, 8, true, 500, 15),
            (18 + 130 + 548 + 130 + 292) * 1000,
            (18 + 130 + 16 * 548 + 16 * 500) * 1000,
        ];
        // upload (1+32)·2 = 66; frame 329; acknowledge 73
        yield '32 bytes at 1 Mbit/s, 3 retries' => [
            self::exchange(PacketRate::Kbps1000, 32, true, 250, 3),
            (66 + 130 + 329 + 130 + 73) * 1000,
            (66 + 130 + 4 * 329 + 4 * 250) * 1000,
        ];
        // frame 164.5; acknowledge 36.5
        yield '32 bytes at 2 Mbit/s' => [
            self::exchange(PacketRate::Kbps2000, 32, true, 250, 1),
            (66 + 130 + 130) * 1000 + 164_500 + 36_500,
            (66 + 130 + 2 * 250) * 1000 + 2 * 164_500,
        ];
        yield 'not acknowledged' => [
            self::exchange(PacketRate::Kbps250, 8, false, 500, 15),
            // Three times, for nobody says that it came.
            3 * (18 + 130 + 548) * 1000,
            3 * (18 + 130 + 548) * 1000,
        ];
    }

    #[DataProvider('exchanges')]
    public function test_the_senders_time_is_the_one_worked_out_by_hand(PacketExchange $exchange, int $bestNs, int $worstNs): void
    {
        self::assertSame($bestNs, $exchange->bestNs());
        self::assertSame($worstNs, $exchange->worstNs());
    }

    public function test_more_retries_or_a_longer_delay_never_make_the_worst_better(): void
    {
        foreach (PacketRate::cases() as $rate) {
            $last = 0;
            for ($retries = 0; $retries <= 15; $retries++) {
                $worst = self::exchange($rate, 16, true, 1000, $retries)->worstNs();
                self::assertGreaterThan($last, $worst);
                self::assertGreaterThan($worst, self::exchange($rate, 16, true, 1250, $retries)->worstNs());
                $last = $worst;
            }
        }
    }

    public function test_the_receiver_knows_before_the_sender_does(): void
    {
        $exchange = self::exchange(PacketRate::Kbps250, 8, true, 500, 3);
        $arrived = array_sum(array_map(static fn (Span $span): int => $span->bestNs, $exchange->spans(0)));
        self::assertLessThan($exchange->bestNs(), $arrived);
    }

    /** @return iterable<string, array{int}> */
    public static function turns(): iterable
    {
        foreach ([1, 2, 5] as $turn) {
            yield "{$turn} before" => [$turn];
        }
    }

    #[DataProvider('turns')]
    public function test_each_node_served_before_costs_one_whole_exchange(int $turn): void
    {
        $exchange = self::exchange(PacketRate::Kbps250, 8, true, 500, 3);
        $waiting = $exchange->spans($turn)[0];
        self::assertSame($turn * $exchange->bestNs(), $waiting->bestNs);
        self::assertSame($turn * $exchange->worstNs(), $waiting->worstNs);
        self::assertCount(count($exchange->spans(0)) + 1, $exchange->spans($turn));
    }
}
