<?php

declare(strict_types=1);

namespace Tests\Core\Medium\PacketRadio;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Medium\PacketRadio\PacketAir;
use Rundfunk\Medium\PacketRadio\PacketRate;
use Rundfunk\Medium\PacketRadio\PacketSettings;
use Rundfunk\Medium\PacketRadio\RetryClash;
use Rundfunk\Medium\PacketRadio\RetryDelay;
use Tests\Core\CoreTestCase;

final class RetryDelayTest extends CoreTestCase
{
    /** @return iterable<string, array{PacketRate, int, int}> */
    public static function table(): iterable
    {
        // Data sheet of the class, from memory.
        foreach ([[250, 0, 500], [250, 1, 750], [250, 8, 750], [250, 9, 1000], [250, 16, 1000], [250, 17, 1250], [250, 24, 1250], [250, 25, 1500], [250, 32, 1500],
            [1000, 0, 250], [1000, 5, 250], [1000, 6, 500], [1000, 32, 500], [2000, 0, 250], [2000, 15, 250], [2000, 16, 500], [2000, 32, 500]] as [$rate, $payload, $delay]) {
            yield "{$payload} bytes at {$rate} kbit/s" => [PacketRate::from($rate), $payload, $delay];
        }
    }

    #[DataProvider('table')]
    public function test_least_delay_is_the_published_one(PacketRate $rate, int $payload, int $expectedUs): void
    {
        self::assertSame($expectedUs, RetryDelay::minimumUs($rate, $payload));
    }

    public function test_arithmetic_never_asks_for_more_than_the_table(): void
    {
        foreach (PacketRate::cases() as $rate) {
            foreach ([3, 4, 5] as $address) {
                foreach ([1, 2] as $crc) {
                    foreach (range(0, 32) as $payload) {
                        self::assertLessThanOrEqual(
                            RetryDelay::minimumUs($rate, $payload),
                            RetryDelay::arithmeticUs(new PacketAir($rate, $address, $crc), $payload),
                            "{$rate->words()}, {$address}-byte address, {$payload} bytes",
                        );
                    }
                }
            }
        }
    }

    public function test_a_250_kbit_acknowledge_does_not_fit_a_250_us_delay(): void
    {
        self::assertGreaterThan(250_000, PacketAir::TURN_NS + (new PacketAir(PacketRate::Kbps250, 5, 2))->acknowledgeNs());
    }

    public function test_equal_delays_never_come_apart_and_a_step_of_250_us_parts_8_byte_senders_at_the_fourth_retry(): void
    {
        $clash = RetryClash::of(new PacketSettings(76, PacketRate::Kbps250, 5, 8, 2, true, 0, true));
        // 548 µs frame + 130 µs turn + 292 µs acknowledge
        self::assertSame(970.0, $clash->exchangeUs());
        self::assertNull($clash->apartAfter(500, 500));
        self::assertSame(4, $clash->apartAfter(500, 750));
        self::assertSame(2, $clash->apartAfter(500, 1000));
        self::assertSame(250, $clash->leastDifferenceUs());
    }

    public function test_long_frames_need_a_wider_difference(): void
    {
        $clash = RetryClash::of(new PacketSettings(76, PacketRate::Kbps250, 5, 32, 2, true, 0, true));
        // 1316 + 130 + 292 = 1738 µs: four steps of 250 are not enough, four of 500 are.
        self::assertNull($clash->apartAfter(500, 750));
        self::assertSame(500, $clash->leastDifferenceUs());
        self::assertSame(4, $clash->apartAfter(500, 1000));
    }
}
