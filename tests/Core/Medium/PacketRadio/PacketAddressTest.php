<?php

declare(strict_types=1);

namespace Tests\Core\Medium\PacketRadio;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Medium\PacketRadio\PacketAddress;
use Rundfunk\OutOfRange;
use Tests\Core\CoreTestCase;

final class PacketAddressTest extends CoreTestCase
{
    /** @return iterable<string, array{string, bool}> */
    public static function addresses(): iterable
    {
        // Data sheet of the class, from memory.
        yield 'all bytes equal' => ['E7E7E7E7E7', true];
        yield 'one change of level' => ['000FFFFFFF', true];
        yield 'no change at all' => ['0000000000', true];
        yield 'like the preamble' => ['AAAAAAAAAA', true];
        yield 'like the other preamble' => ['55555555', true];
        yield 'a good one' => ['C2F19A4701', false];
        yield 'a short good one' => ['C2F19A', false];
        yield 'nearly like the preamble' => ['AAAAAAAAAB', false];
    }

    #[DataProvider('addresses')]
    public function test_poor_addresses_are_told_from_good_ones(string $hex, bool $poor): void
    {
        self::assertSame($poor, PacketAddress::parse($hex)->weaknesses() !== []);
    }

    public function test_distance_counts_bits(): void
    {
        $address = PacketAddress::parse('C2F19A4701');
        self::assertSame(0, $address->distance(PacketAddress::parse('c2 f1 9a 47 01')));
        self::assertSame(1, $address->distance(PacketAddress::parse('C2F19A4703')));
        self::assertSame(2, $address->distance(PacketAddress::parse('C2F19A4702')));
        self::assertSame(40, PacketAddress::parse('0000000000')->distance(PacketAddress::parse('FFFFFFFFFF')));
    }

    /** @return iterable<string, array{string}> */
    public static function malformed(): iterable
    {
        foreach (['', 'C2F1', 'C2F19A4701AA', 'C2F19A470', 'G2F19A4701', '0x'] as $text) {
            yield "\"{$text}\"" => [$text];
        }
    }

    #[DataProvider('malformed')]
    public function test_what_is_no_address_is_refused(string $text): void
    {
        $this->expectException(OutOfRange::class);
        PacketAddress::parse($text);
    }
}
