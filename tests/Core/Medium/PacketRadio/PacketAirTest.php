<?php

declare(strict_types=1);

namespace Tests\Core\Medium\PacketRadio;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Medium\PacketRadio\PacketAir;
use Rundfunk\Medium\PacketRadio\PacketRate;
use Rundfunk\OutOfRange;
use Tests\Core\CoreTestCase;

final class PacketAirTest extends CoreTestCase
{
    /** @return iterable<string, array{PacketRate, int, int, int, int}> */
    public static function published(): iterable
    {
        // Data sheet of the class, from memory: address 5, CRC 2.
        yield '32 bytes at 1 Mbit/s' => [PacketRate::Kbps1000, 5, 32, 2, 329_000];
        yield '32 bytes at 2 Mbit/s' => [PacketRate::Kbps2000, 5, 32, 2, 164_500];
        yield '32 bytes at 250 kbit/s' => [PacketRate::Kbps250, 5, 32, 2, 1_316_000];
        yield 'empty acknowledge at 1 Mbit/s' => [PacketRate::Kbps1000, 5, 0, 2, 73_000];
        yield 'empty acknowledge at 2 Mbit/s' => [PacketRate::Kbps2000, 5, 0, 2, 36_500];
        yield 'empty acknowledge at 250 kbit/s' => [PacketRate::Kbps250, 5, 0, 2, 292_000];
    }

    #[DataProvider('published')]
    public function test_airtime_is_the_published_one(PacketRate $rate, int $address, int $payload, int $crc, int $expectedNs): void
    {
        self::assertSame($expectedNs, (new PacketAir($rate, $address, $crc))->frameNs($payload));
    }

    /** A second, independent way to the same figure: build the frame bit by bit and count. */
    public function test_the_bits_of_a_built_frame_are_as_many_as_the_formula_says(): void
    {
        foreach (PacketRate::cases() as $rate) {
            foreach ([3, 4, 5] as $address) {
                foreach ([0, 1, 2] as $crc) {
                    foreach (range(0, 32) as $payload) {
                        $frame = '10101010'.str_repeat('11000010', $address).sprintf('%06b', $payload).'01'.'0'.str_repeat('00000000', $payload).str_repeat('11111111', $crc);
                        $air = new PacketAir($rate, $address, $crc);
                        self::assertSame(strlen($frame), $air->frameBits($payload));
                        self::assertSame((int) (strlen($frame) * 1e9 / ($rate->value * 1e3)), $air->frameNs($payload));
                    }
                }
            }
        }
    }

    public function test_an_acknowledge_carries_a_check_sum_even_when_none_is_asked_for(): void
    {
        self::assertSame(
            (new PacketAir(PacketRate::Kbps1000, 5, 1))->acknowledgeNs(),
            (new PacketAir(PacketRate::Kbps1000, 5, 0))->acknowledgeNs(),
        );
    }

    /** @return iterable<string, array{int, int, int, string}> */
    public static function outside(): iterable
    {
        yield 'address too short' => [2, 8, 2, 'address_bytes'];
        yield 'address too long' => [6, 8, 2, 'address_bytes'];
        yield 'payload too long' => [5, 33, 2, 'payload_bytes'];
        yield 'payload negative' => [5, -1, 2, 'payload_bytes'];
        yield 'check sum too long' => [5, 8, 3, 'crc_bytes'];
    }

    #[DataProvider('outside')]
    public function test_figures_outside_the_part_are_refused(int $address, int $payload, int $crc, string $field): void
    {
        try {
            (new PacketAir(PacketRate::Kbps250, $address, $crc))->frameNs($payload);
            self::fail('nothing was refused');
        } catch (OutOfRange $refused) {
            self::assertSame($field, $refused->field);
        }
    }
}
