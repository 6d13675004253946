<?php

declare(strict_types=1);

namespace Tests\Core\Electrical;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Electrical\BurstDroop;
use Rundfunk\Electrical\CapacitorForDroop;
use Rundfunk\Electrical\CopperPair;
use Rundfunk\Electrical\ESeries;
use Rundfunk\Electrical\LedStrings;
use Rundfunk\Shipped;
use Tests\Core\CoreTestCase;

/** The formulas without a plan, against tables of standards and figures of the trade. */
final class ElectricalTest extends CoreTestCase
{
    public function test_the_series_are_those_of_the_standard(): void
    {
        // IEC 60063, tables of E24 and E96; from memory.
        self::assertSame([10, 11, 12, 13, 15, 16, 18, 20, 22, 24, 27, 30, 33, 36, 39, 43, 47, 51, 56, 62, 68, 75, 82, 91], ESeries::E24->decade());
        self::assertSame([10, 12, 15, 18, 22, 27, 33, 39, 47, 56, 68, 82], ESeries::E12->decade());
        self::assertSame([10, 15, 22, 33, 47, 68], ESeries::E6->decade());
        self::assertSame([
            100, 102, 105, 107, 110, 113, 115, 118, 121, 124, 127, 130, 133, 137, 140, 143, 147, 150, 154, 158, 162, 165, 169, 174, 178, 182, 187, 191, 196, 200, 205, 210,
            215, 221, 226, 232, 237, 243, 249, 255, 261, 267, 274, 280, 287, 294, 301, 309, 316, 324, 332, 340, 348, 357, 365, 374, 383, 392, 402, 412, 422, 432, 442, 453,
            464, 475, 487, 499, 511, 523, 536, 549, 562, 576, 590, 604, 619, 634, 649, 665, 681, 698, 715, 732, 750, 768, 787, 806, 825, 845, 866, 887, 909, 931, 953, 976,
        ], ESeries::E96->decade());
        self::assertSame(ESeries::E48->decade(), array_values(array_filter(ESeries::E96->decade(), static fn (int $at): bool => $at % 2 === 0, ARRAY_FILTER_USE_KEY)));
        self::assertSame([898, 909, 920, 931], array_slice(ESeries::E192->decade(), 183, 4));
    }

    public function test_every_value_is_its_own_neighbour_and_lies_between_those_of_what_is_beside_it(): void
    {
        foreach (ESeries::cases() as $series) {
            foreach ([-3, 0, 5] as $decade) {
                foreach ($series->decade() as $figure) {
                    $value = $figure / ($figure < 100 ? 10 : 100) * 10 ** $decade;
                    self::assertEqualsWithDelta($value, $series->up($value), $value * 1e-9);
                    self::assertEqualsWithDelta($value, $series->down($value), $value * 1e-9);
                    self::assertEqualsWithDelta($value, $series->down($value * 1.001), $value * 1e-9);
                    self::assertEqualsWithDelta($value, $series->up($value * 0.999), $value * 1e-9);
                    self::assertEqualsWithDelta($value, $series->nearest($value * 1.001), $value * 1e-9);
                }
            }
        }
    }

    /** @return iterable<string, array{int, float}> gauge, Ω/km of one wire */
    public static function gauges(): iterable
    {
        // ASTM B258 diameters, IEC 60028 copper; the four figures of the trade book.
        yield 'AWG 18' => [18, 20.95];
        yield 'AWG 22' => [22, 52.96];
        yield 'AWG 24' => [24, 84.2];
        yield 'AWG 28' => [28, 212.9];
    }

    #[DataProvider('gauges')]
    public function test_a_wire_has_the_resistance_of_its_gauge(int $awg, float $ohmPerKm): void
    {
        // 500 m of cable are 1000 m of wire.
        self::assertEqualsWithDelta($ohmPerKm, CopperPair::awg($awg, 500)->loopOhm(), $ohmPerKm * 5e-4);
    }

    public function test_a_capacitor_that_is_just_enough_is_just_enough(): void
    {
        $tried = 0;
        foreach ([0.1, 0.5, 1.0] as $sourceOhm) {
            foreach ([0.0, 0.02, 0.1] as $esrOhm) {
                foreach ([3.95, 3.7, 3.4] as $minimumV) {
                    $farads = (new CapacitorForDroop(4.0, $sourceOhm, $esrOhm, 2.0, 577e-6, $minimumV))->farads();
                    $huge = (new BurstDroop(4.0, $sourceOhm, 9.9, $esrOhm, 2.0, 577e-6, INF))->firstV();
                    if ($farads === null) {
                        self::assertLessThan($minimumV, $huge);
                    } elseif ($farads === 0.0) {
                        self::assertGreaterThanOrEqual($minimumV, 4.0 - 2.0 * $sourceOhm);
                    } else {
                        $tried++;
                        self::assertEqualsWithDelta($minimumV, (new BurstDroop(4.0, $sourceOhm, $farads, $esrOhm, 2.0, 577e-6, INF))->firstV(), 1e-6);
                    }
                }
            }
        }
        self::assertGreaterThan(10, $tried);
    }

    public function test_a_string_leaves_a_tenth_of_the_supply_to_its_resistor_and_one_more_diode_would_not(): void
    {
        foreach ([3.3, 5.0, 9.0, 12.0, 24.0] as $supplyV) {
            foreach ([1.35, 2.0, 3.1] as $forwardV) {
                $strings = new LedStrings($supplyV, $forwardV, 20, 1000, 0.1);
                $left = $supplyV - 0.1 - $strings->perString() * $forwardV;
                self::assertLessThan($supplyV * 0.1 - 1e-12, $left - $forwardV);
                if ($strings->perString() > 0) {
                    self::assertGreaterThanOrEqual($supplyV * 0.1 - 1e-9, $left);
                    self::assertGreaterThanOrEqual(1000, $strings->strings() * $strings->perString());
                    self::assertLessThanOrEqual(20 * $strings->strings() + 1e-9, $strings->totalMa());
                }
            }
        }
    }

    /** @return iterable<string, array{string, array<string, string>, array<string, mixed>}> */
    public static function worked(): iterable
    {
        // The trade book, §5 and §13: from memory, reviewed.
        yield 'a modem\'s serial input from 5 V' => ['divider', ['vin_v' => '5', 'r1_ohm' => '1000', 'r2_ohm' => '1200'], ['vout_v' => 2.727, 'current_ma' => 2.273]];
        yield 'the often-copied divider' => ['divider', ['vin_v' => '5', 'r1_ohm' => '1000', 'r2_ohm' => '2000'], ['vout_v' => 3.333, 'current_ma' => 1.667]];
        yield '3.3 V into 2.8 V' => ['divider', ['vin_v' => '3.3', 'r1_ohm' => '1000', 'r2_ohm' => '5600'], ['vout_v' => 2.8, 'current_ma' => 0.5]];
        yield 'by the ratio 5136 is nearer to 5600 than to 4700' => ['e-series', ['value' => '5136', 'series' => 'e12'], ['down' => 4700.0, 'nearest' => 5600.0, 'up' => 5600.0]];
        yield 'a first burst' => ['burst-droop', ['source_v' => '4', 'source_ohm' => '1', 'capacitor_uf' => '2200', 'esr_ohm' => '0', 'load_a' => '2', 'duration_us' => '577'], ['minimum_v' => 3.539]];
        yield 'bursts that come again' => ['burst-droop', ['source_v' => '4', 'source_ohm' => '1', 'capacitor_uf' => '2200', 'esr_ohm' => '0', 'load_a' => '2', 'duration_us' => '577', 'period_us' => '4615'], ['minimum_v' => 3.474]];
        yield 'a capacitor whose own resistance is too much' => ['capacitor-for-droop', ['source_v' => '4', 'source_ohm' => '1', 'esr_ohm' => '1', 'load_a' => '2', 'duration_us' => '577', 'minimum_v' => '3.5'], ['capacitor_uf' => null, 'possible' => false]];
        yield 'a source that needs none' => ['capacitor-for-droop', ['source_v' => '4', 'source_ohm' => '0.1', 'esr_ohm' => '1', 'load_a' => '2', 'duration_us' => '577', 'minimum_v' => '3.5'], ['capacitor_uf' => 0.0, 'possible' => true]];
        yield 'the 800 mA adapter at its limit' => ['regulator', ['vin_v' => '5', 'vout_v' => '3.3', 'current_a' => '0.8', 'dropout_v' => '1.2'], ['works' => true, 'heat_w' => 1.36, 'efficiency_percent' => 66.0]];
        yield 'a Li-ion cell and the common adapter' => ['regulator', ['vin_v' => '3.7', 'vout_v' => '3.3', 'current_a' => '0.1', 'dropout_v' => '1.1'], ['works' => false]];
        yield 'a relay\'s coil from an 8-bit board' => ['base-resistor', ['pin_v' => '4.2', 'coil_ma' => '72', 'gain' => '15', 'vbe_v' => '0.7'], ['maximum_ohm' => 729.167, 'chosen_ohm' => 680.0]];
        yield 'the same from a Wi-Fi board' => ['base-resistor', ['pin_v' => '2.64', 'coil_ma' => '72', 'gain' => '15', 'vbe_v' => '0.7'], ['maximum_ohm' => 404.167, 'chosen_ohm' => 390.0]];
        yield 'a pin that does not reach the base' => ['base-resistor', ['pin_v' => '0.6', 'coil_ma' => '72', 'gain' => '15', 'vbe_v' => '0.7'], ['maximum_ohm' => null, 'chosen_ohm' => null, 'base_ma' => null]];
        // UM10204, figure of minimum pull-ups: 967 Ω at 3.3 V, 1533 at 5.
        yield 'I²C at 3.3 V' => ['i2c-pull-up', ['supply_v' => '3.3', 'bus_pf' => '100', 'rise_ns' => '300'], ['minimum_ohm' => 966.667, 'maximum_ohm' => 3540.659]];
        yield 'I²C at 5 V' => ['i2c-pull-up', ['supply_v' => '5', 'bus_pf' => '100', 'rise_ns' => '1000'], ['minimum_ohm' => 1533.333]];
        // By hand: 0.02 + 14.98 · 20/60000 = 0.02499; leak 2500 · 3 % / 730.5 = 0.10267; 2125 / 0.12766 / 24.
        yield 'a cell for a node that sleeps' => ['battery-life', ['capacity_mah' => '2500', 'usable_percent' => '85', 'self_discharge_percent_month' => '3', 'sleep_ma' => '0.02', 'active_ma' => '15', 'active_ms' => '20', 'period_s' => '60'], ['average_ma' => 0.025, 'days_high' => 693.559, 'days_low' => 485.491]];
        yield 'nothing that takes anything' => ['battery-life', ['capacity_mah' => '2500', 'usable_percent' => '85', 'self_discharge_percent_month' => '0', 'sleep_ma' => '0', 'active_ma' => '0', 'active_ms' => '0', 'period_s' => '60'], ['average_ma' => 0.0, 'days_high' => null, 'days_low' => null]];
        yield 'three white diodes on 12 V' => ['led-string', ['supply_v' => '12', 'forward_v' => '3.1', 'current_ma' => '20', 'leds' => '30', 'drop_v' => '0.1'], ['per_string' => 3, 'strings' => 10, 'chosen_ohm' => 130.0, 'total_ma' => 200.0]];
        yield 'a supply below one diode' => ['led-string', ['supply_v' => '3.3', 'forward_v' => '3.1', 'current_ma' => '20', 'leds' => '3', 'drop_v' => '0'], ['per_string' => 0, 'strings' => 0, 'chosen_ohm' => null, 'total_ma' => null]];
    }

    /**
     * @param  array<string, string>  $given
     * @param  array<string, mixed>  $found
     */
    #[DataProvider('worked')]
    public function test_the_calculators_find_the_figures_of_the_trade(string $name, array $given, array $found): void
    {
        $calculated = Shipped::calculators()->calculate($name, $given);
        foreach ($found as $output => $value) {
            is_float($value) ? self::assertEqualsWithDelta($value, $calculated[$output], max(0.0006, $value * 1e-6), $output) : self::assertSame($value, $calculated[$output], $output);
        }
    }
}
