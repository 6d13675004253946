<?php

declare(strict_types=1);

namespace Tests\Core\Calculator;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Calculator\BadInput;
use Rundfunk\Calculator\Curve;
use Rundfunk\Calculator\Destination;
use Rundfunk\Calculator\DrawsCurve;
use Rundfunk\Calculator\FitsPlans;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shipped;
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
        // 3GPP TS 27.007: 0 to 5.
        foreach ([0 => false, 1 => true, 2 => false, 3 => false, 4 => false, 5 => true] as $stat => $serves) {
            yield "registration {$stat}" => ['modem-registration', ['stat' => (string) $stat], ['serves' => $serves]];
        }
        // Data sheet of the class, from memory: 64 ms on, and 800, 3000 or 300 ms off. In turn: common practice.
        foreach ([
            '0.864 0.864' => 'searching', '3.064,3.064' => 'registered', '0.364 0.364 0.364' => 'data', '1, 1.1, 0.9' => 'searching', '3; 2.8; 3.3' => 'registered',
            '1 1 3 1 3' => 'wavering', '' => 'dark', '10' => 'unknown', '0.3 3' => 'unknown',
        ] as $gaps => $state) {
            yield "lamp {$gaps}" => ['modem-lamp', ['gaps_s' => (string) $gaps], ['state' => $state]];
        }
        yield 'the lowest channel' => ['packet-frequency', ['channel' => '0'], ['freq_mhz' => 2400]];
        yield 'the highest channel' => ['packet-frequency', ['channel' => '125'], ['freq_mhz' => 2525]];
        yield 'a good address' => [
            'packet-address-quality',
            ['address' => 'C2:F1:9A:47:01'],
            ['poor' => false, 'reasons' => []],
        ];
        // Ohm's law and IEC 60063; the first is what ngspice gives for 39 Ω: 93.590 mA, 341.60 mW.
        yield 'an infrared diode at 5 V' => [
            'led-resistor',
            ['supply_v' => '5', 'forward_v' => '1.35', 'current_ma' => '100', 'series_leds' => '1'],
            ['exact_ohm' => 36.5, 'chosen_ohm' => 39.0, 'actual_ma' => 93.589744, 'power_mw' => 341.602564, 'advised_rating_mw' => 1000],
        ];
        yield 'two of them' => [
            'led-resistor',
            ['supply_v' => '5', 'forward_v' => '1.35', 'current_ma' => '100', 'series_leds' => '2'],
            ['exact_ohm' => 23.0, 'chosen_ohm' => 24.0, 'actual_ma' => 95.833333, 'power_mw' => 220.416667, 'advised_rating_mw' => 500],
        ];
        // Common practice: 33.6 ms of bits and 11.2 of sync, four times.
        yield 'a fixed code' => ['keyed-frame', ['bits' => '24', 'pulse_us' => '350', 'repeats' => '4'], ['frame_ms' => 44.8, 'total_ms' => 179.2]];
        // 0.95 · 299 792 458 / (4 · 433 920 000)
        yield 'a wire for 433.92 MHz' => ['quarter-wave', ['freq_mhz' => '433.92'], ['length_mm' => 164.087, 'cut_mm' => 164]];
        // Inverse square law.
        yield 'an emitter of 60 mW/sr' => ['ir-reach', ['intensity_mw_sr' => '60', 'threshold_mw_m2' => '0.4'], ['distance_m' => 12.247449]];
        // ir-ctl of v4l-utils 1.22: -S rc5:0x1e01
        yield 'RC-5' => [
            'ir-encode',
            ['protocol' => 'rc5', 'address' => '0x1E', 'command' => '1'],
            [
                'carrier_hz' => 36000,
                'timings_us' => [889, 889, 1778, 1778, 889, 889, 889, 889, 889, 889, 1778, 889, 889, 889, 889, 889, 889, 889, 889, 889, 889, 1778, 889],
                'duration_us' => 24003,
            ],
        ];
        yield 'RC-5 read back' => [
            'ir-decode',
            ['timings_us' => '889,889,1778,1778,889,889,889,889,889,889,1778,889,889,889,889,889,889,889,889,889,889,1778,889'],
            ['protocol' => 'rc5', 'address' => 0x1E, 'command' => 1, 'toggle' => false],
        ];
    }

    public function test_each_calculator_can_be_tried_with_its_own_examples(): void
    {
        foreach (Shipped::calculators()->all() as $calculator) {
            $given = [];
            foreach ($calculator->inputs() as $quantity) {
                self::assertTrue($quantity->example !== '' || ! $quantity->required, "{$calculator->name()} {$quantity->name}");
                if ($quantity->example !== '') {
                    $given[$quantity->name] = $quantity->example;
                }
            }
            self::assertCount(count($calculator->outputs()), $calculator->calculate(Inputs::for($calculator, $given)));
        }
    }

    /**
     * @param  array<string, string>  $inputs
     * @param  array<string, mixed>  $outputs
     */
    #[DataProvider('published')]
    public function test_a_calculator_gives_the_published_figure(string $name, array $inputs, array $outputs): void
    {
        self::assertEquals($outputs, array_intersect_key(Shipped::calculators()->calculate($name, $inputs), $outputs));
    }

    public function test_a_poor_address_is_given_every_reason(): void
    {
        $result = Shipped::calculators()->calculate('packet-address-quality', ['address' => 'FFFFFFFFFF']);
        self::assertTrue($result['poor']);
        self::assertIsArray($result['reasons']);
        self::assertCount(2, $result['reasons']);
    }

    public function test_each_calculator_says_what_it_takes_and_gives_and_where_it_comes_from(): void
    {
        $names = [];
        foreach (Shipped::calculators()->all() as $calculator) {
            $names[] = $calculator->name();
            self::assertNotSame('', $calculator->topic());
            self::assertNotSame('', $calculator->formula());
            self::assertNotSame('', $calculator->source());
            self::assertStringEndsNotWith('.', $calculator->title());
            foreach ([...$calculator->inputs(), ...$calculator->outputs()] as $quantity) {
                self::assertMatchesRegularExpression('/^[a-z][a-z0-9]*(_[a-z0-9]+)*$/', $quantity->name);
                self::assertStringEndsWith('.', $quantity->doc);
            }
        }
        self::assertSame($names, array_values(array_unique($names)));
    }

    public function test_a_calculator_gives_all_that_it_says_it_gives_and_no_more(): void
    {
        foreach (self::published() as [$name, $inputs]) {
            $calculator = Shipped::calculators()->named($name);
            $given = array_keys($calculator->calculate(Inputs::for($calculator, $inputs)));
            self::assertSame(array_map(static fn (Quantity $quantity): string => $quantity->name, $calculator->outputs()), $given);
        }
    }

    public function test_a_curve_passes_through_the_published_figures(): void
    {
        $calculators = Shipped::calculators();
        foreach (self::published() as [$name, $inputs, $outputs]) {
            $calculator = $calculators->named($name);
            if (! $calculator instanceof DrawsCurve) {
                continue;
            }
            $curve = Curve::of($calculator, $inputs);
            $given = (float) $inputs[$curve->sweep->input];
            $published = $outputs[$curve->sweep->output];
            self::assertIsNumeric($published);
            $below = array_filter($curve->points, static fn (array $point): bool => $point[0] <= $given);
            $above = array_filter($curve->points, static fn (array $point): bool => $point[0] >= $given);
            [$left, $right] = [array_pop($below), array_shift($above)];
            self::assertNotNull($left, $name);
            self::assertNotNull($right, $name);
            self::assertGreaterThanOrEqual(min($left[1], $right[1]) - 1e-6, $published, $name);
            self::assertLessThanOrEqual(max($left[1], $right[1]) + 1e-6, $published, $name);
        }
    }

    public function test_a_curve_has_no_point_where_there_is_no_answer(): void
    {
        $calculator = Shipped::calculators()->named('led-resistor');
        self::assertInstanceOf(DrawsCurve::class, $calculator);
        $points = Curve::of($calculator, ['supply_v' => '12', 'forward_v' => '2', 'current_ma' => '20', 'series_leds' => '3'])->points;
        self::assertGreaterThan(6.0, $points[0][0]);
        self::assertEqualsWithDelta(15.0, $points[array_key_last($points)][0], 1e-9);
    }

    public function test_an_answer_goes_to_settings_that_there_are(): void
    {
        $fitting = 0;
        foreach (Shipped::calculators()->all() as $calculator) {
            if ($calculator instanceof FitsPlans) {
                $fitting++;
                $destination = $calculator->destination();
                $quantities = array_map(static fn (Quantity $quantity): string => $quantity->name, [...$calculator->inputs(), ...$calculator->outputs()]);
                $fields = array_map(static fn (Field $field): string => $field->name, self::settings($destination)->fields);
                self::assertSame([], array_diff(array_keys($destination->settings), $quantities), $calculator->name());
                self::assertSame([], array_diff($destination->settings, $fields), $calculator->name());
            }
        }
        self::assertGreaterThan(2, $fitting);
    }

    public function test_an_unknown_calculator_is_refused_with_those_there_are(): void
    {
        $this->expectException(BadInput::class);
        $this->expectExceptionMessage('packet-airtime, packet-retry-delay, packet-frequency, packet-address-quality');
        Shipped::calculators()->named('perpetual-motion');
    }

    /** @return iterable<string, array{string}> */
    public static function notWhole(): iterable
    {
        foreach (['', ' ', '1.5', '1e3', 'ten', '0x', '0xG', '١٢', '99999999999999999999'] as $text) {
            yield "\"{$text}\"" => [$text];
        }
    }

    #[DataProvider('notWhole')]
    public function test_what_is_no_whole_number_is_refused(string $text): void
    {
        $this->expectException(BadInput::class);
        Shipped::calculators()->calculate('packet-frequency', ['channel' => $text]);
    }

    private static function settings(Destination $destination): Shape
    {
        if ($destination->of === ThingKind::KeyCode) {
            return ThingKind::KeyCode->shape();
        }
        $medium = Shipped::knowledge()->media->named($destination->medium);

        return $destination->of === ThingKind::Link ? $medium->linkSettings() : $medium->endpointSettings();
    }
}
