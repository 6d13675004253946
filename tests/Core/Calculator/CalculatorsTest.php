<?php

declare(strict_types=1);

namespace Tests\Core\Calculator;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Calculator\BadInput;
use Rundfunk\Calculator\Calculators;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Tests\Core\CoreTestCase;

/** The calculators against published figures, and against what they say of themselves. */
final class CalculatorsTest extends CoreTestCase
{
    /** @return iterable<string, array{string, array<string, string>, array<string, mixed>}> name, inputs, outputs */
    public static function published(): iterable
    {
        // Data sheet of the class, from memory: address 5, CRC 2.
        yield '32 bytes at 1 Mbit/s' => [
            'packet-airtime',
            ['rate_kbps' => '1000', 'address_bytes' => '5', 'payload_bytes' => '32', 'crc_bytes' => '2'],
            ['airtime_us' => 329, 'ack_airtime_us' => 73],
        ];
        yield '32 bytes at 2 Mbit/s' => [
            'packet-airtime',
            ['rate_kbps' => '2000', 'address_bytes' => '5', 'payload_bytes' => '32', 'crc_bytes' => '2'],
            ['airtime_us' => 164.5, 'ack_airtime_us' => 36.5],
        ];
        yield '32 bytes at 250 kbit/s' => [
            'packet-airtime',
            ['rate_kbps' => '250', 'address_bytes' => '5', 'payload_bytes' => '32', 'crc_bytes' => '2'],
            ['airtime_us' => 1316, 'ack_airtime_us' => 292],
        ];
        yield 'no payload is its own acknowledge' => [
            'packet-airtime',
            ['rate_kbps' => '250', 'address_bytes' => '5', 'payload_bytes' => '0', 'crc_bytes' => '2'],
            ['airtime_us' => 292, 'ack_airtime_us' => 292],
        ];
        foreach (['0' => 500, '8' => 750, '16' => 1000, '24' => 1250, '32' => 1500] as $payload => $minimum) {
            yield "retry delay at 250 kbit/s for {$payload} bytes" => [
                'packet-retry-delay',
                ['rate_kbps' => '250', 'address_bytes' => '5', 'ack_payload_bytes' => (string) $payload, 'crc_bytes' => '2'],
                ['minimum_us' => $minimum],
            ];
        }
        yield 'the lowest channel' => ['packet-frequency', ['channel' => '0'], ['freq_mhz' => 2400]];
        yield 'the highest channel' => ['packet-frequency', ['channel' => '125'], ['freq_mhz' => 2525]];
        yield 'a good address' => [
            'packet-address-quality',
            ['address' => 'C2:F1:9A:47:01'],
            ['poor' => false, 'reasons' => []],
        ];
    }

    /**
     * @param  array<string, string>  $inputs
     * @param  array<string, mixed>  $outputs
     */
    #[DataProvider('published')]
    public function test_a_calculator_gives_the_published_figure(string $name, array $inputs, array $outputs): void
    {
        self::assertEquals($outputs, Calculators::standard()->calculate($name, $inputs));
    }

    public function test_a_poor_address_is_given_every_reason(): void
    {
        $result = Calculators::standard()->calculate('packet-address-quality', ['address' => 'FFFFFFFFFF']);
        self::assertTrue($result['poor']);
        self::assertIsArray($result['reasons']);
        self::assertCount(2, $result['reasons']);
    }

    public function test_each_calculator_says_what_it_takes_and_gives_and_where_it_comes_from(): void
    {
        $names = [];
        foreach (Calculators::standard()->all() as $calculator) {
            $names[] = $calculator->name();
            self::assertNotSame('', $calculator->topic());
            self::assertNotSame('', $calculator->formula());
            self::assertNotSame('', $calculator->source());
            self::assertStringEndsNotWith('.', $calculator->title());
            foreach ([...$calculator->inputs(), ...$calculator->outputs()] as $quantity) {
                self::assertMatchesRegularExpression('/^[a-z]+(_[a-z]+)*$/', $quantity->name);
                self::assertStringEndsWith('.', $quantity->doc);
            }
        }
        self::assertSame($names, array_values(array_unique($names)));
    }

    public function test_a_calculator_gives_all_that_it_says_it_gives_and_no_more(): void
    {
        foreach (self::published() as [$name, $inputs]) {
            $calculator = Calculators::standard()->named($name);
            $given = array_keys($calculator->calculate(Inputs::for($calculator, $inputs)));
            self::assertSame(array_map(static fn (Quantity $quantity): string => $quantity->name, $calculator->outputs()), $given);
        }
    }

    public function test_an_unknown_calculator_is_refused_with_those_there_are(): void
    {
        $this->expectException(BadInput::class);
        $this->expectExceptionMessage('packet-airtime, packet-retry-delay, packet-frequency, packet-address-quality');
        Calculators::standard()->named('perpetual-motion');
    }

    /** @return iterable<string, array{string}> */
    public static function notWhole(): iterable
    {
        foreach (['', ' ', '1.5', '1e3', 'ten', '0x10', '١٢', '99999999999999999999'] as $text) {
            yield "\"{$text}\"" => [$text];
        }
    }

    #[DataProvider('notWhole')]
    public function test_what_is_no_whole_number_is_refused(string $text): void
    {
        $this->expectException(BadInput::class);
        Calculators::standard()->calculate('packet-frequency', ['channel' => $text]);
    }
}
