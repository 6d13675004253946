<?php

declare(strict_types=1);

namespace Tests\Core\Electrical;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use ReflectionClass;
use Rundfunk\Electrical\BaseResistor;
use Rundfunk\Electrical\BatteryLife;
use Rundfunk\Electrical\BurstDroop;
use Rundfunk\Electrical\CapacitorForDroop;
use Rundfunk\Electrical\CopperPair;
use Rundfunk\Electrical\Divider;
use Rundfunk\Electrical\ESeries;
use Rundfunk\Electrical\I2cPullUp;
use Rundfunk\Electrical\LedResistor;
use Rundfunk\Electrical\LedStrings;
use Rundfunk\Electrical\LinearRegulator;
use Rundfunk\Electrical\UartDivider;
use Rundfunk\OutOfRange;

/** From where to where each formula is asked: at its limits it answers, a hair beyond it says what was too much. */
final class LimitsTest extends TestCase
{
    /** @return iterable<string, array{Closure(float): mixed, string, float, float}> what is made, the name it says, from, to */
    public static function limits(): iterable
    {
        $rows = [
            [BaseResistor::class, ['pinV' => 3.3, 'coilMa' => 70.0, 'gain' => 15.0, 'vbeV' => 0.7], ['pinV' => ['pin_v', 0.5, 30], 'coilMa' => ['coil_ma', 0.01, 20_000], 'gain' => ['gain', 1, 10_000], 'vbeV' => ['vbe_v', 0.1, 3]]],
            [BatteryLife::class, ['capacityMah' => 2600.0, 'usablePercent' => 90.0, 'selfDischargePercentMonth' => 2.0, 'sleepMa' => 0.1, 'activeMa' => 80.0, 'activeMs' => 1.0, 'periodS' => 60.0], [
                'capacityMah' => ['capacity_mah', 1, 1e6], 'usablePercent' => ['usable_percent', 1, 100], 'selfDischargePercentMonth' => ['self_discharge_percent_month', 0, 100],
                'sleepMa' => ['sleep_ma', 0, 100_000], 'activeMa' => ['active_ma', 0, 100_000], 'periodS' => ['period_s', 0.001, 31_622_400], 'activeMs' => ['active_ms', 0, 60_000],
            ]],
            [BurstDroop::class, ['sourceV' => 4.0, 'sourceOhm' => 1.0, 'capacitorF' => 0.0022, 'esrOhm' => 0.05, 'burstA' => 2.0, 'burstS' => 0.000577, 'periodS' => 0.004615], [
                'sourceV' => ['source_v', 0.1, 60], 'sourceOhm' => ['source_ohm', 0.001, 100], 'capacitorF' => ['capacitor_f', 1e-9, 10], 'esrOhm' => ['esr_ohm', 0, 10], 'burstS' => ['burst_s', 1e-9, 0.004615],
            ]],
            [CapacitorForDroop::class, ['sourceV' => 4.0, 'sourceOhm' => 1.0, 'esrOhm' => 0.05, 'loadA' => 2.0, 'durationS' => 0.000577, 'minimumV' => 0.05], [
                'sourceV' => ['source_v', 0.1, 60], 'sourceOhm' => ['source_ohm', 0.001, 100], 'esrOhm' => ['esr_ohm', 0, 10], 'loadA' => ['load_a', 0.000_001, 100], 'durationS' => ['duration_s', 1e-9, 3600], 'minimumV' => ['minimum_v', 0, 4],
            ]],
            [CopperPair::class, ['areaMm2' => 0.14, 'lengthM' => 10.0], ['areaMm2' => ['area_mm2', 0.001, 1000], 'lengthM' => ['length_m', 0, 10_000]]],
            [Divider::class, ['vinV' => 5.0, 'r1Ohm' => 1000.0, 'r2Ohm' => 1200.0], ['vinV' => ['vin_v', 0, 1000], 'r1Ohm' => ['r1_ohm', 0, 100e6], 'r2Ohm' => ['r2_ohm', 0.01, 100e6]]],
            [I2cPullUp::class, ['supplyV' => 3.3, 'busPf' => 200.0, 'riseNs' => 300.0], ['supplyV' => ['supply_v', 1, 5.5], 'busPf' => ['bus_pf', 1, 4000], 'riseNs' => ['rise_ns', 10, 10_000]]],
            [LedResistor::class, ['supplyV' => 60.0, 'forwardV' => 2.0, 'currentMa' => 20.0, 'series' => 1], ['forwardV' => ['forward_v', 0.5, 12], 'currentMa' => ['current_ma', 0.1, 3000]]],
            [LedStrings::class, ['supplyV' => 12.0, 'forwardV' => 2.0, 'currentMa' => 20.0, 'leds' => 6, 'dropV' => 0.0], ['supplyV' => ['supply_v', 0.5, 60], 'forwardV' => ['forward_v', 0.5, 12], 'currentMa' => ['current_ma', 0.1, 3000], 'dropV' => ['drop_v', 0, 10]]],
            [LinearRegulator::class, ['vinV' => 7.0, 'voutV' => 5.0, 'currentA' => 0.1, 'dropoutV' => 2.0], ['vinV' => ['vin_v', 0.1, 100], 'voutV' => ['vout_v', 0.1, 100], 'currentA' => ['current_a', 0, 20], 'dropoutV' => ['dropout_v', 0, 10]]],
        ];
        foreach ($rows as [$class, $usual, $limits]) {
            foreach ($limits as $argument => [$name, $lowest, $highest]) {
                yield basename(str_replace('\\', '/', $class))." {$name}" => [static fn (float $value): object => (new ReflectionClass($class))->newInstanceArgs([...$usual, $argument => $value]), $name, (float) $lowest, (float) $highest];
            }
        }
        yield 'a series of values' => [static fn (float $value): float => ESeries::E24->down($value), 'value', 1e-15, 1e12];
        yield 'a current in copper' => [static fn (float $value): float => (new CopperPair(0.14, 10.0))->dropV($value), 'current_a', 0.0, 1000.0];
        yield 'a clock' => [static fn (float $value): float => UartDivider::error($value, 9600), 'clock_mhz', 0.1, 10_000.0];
    }

    /** @param  Closure(float): mixed  $make */
    #[DataProvider('limits')]
    public function test_it_answers_up_to_its_limits_and_no_farther(Closure $make, string $name, float $lowest, float $highest): void
    {
        foreach ([$lowest, $highest] as $within) {
            self::assertNotNull($make($within), "{$name} = {$within}");
        }
        $hair = 1e-6;
        foreach ([$lowest - max(abs($lowest), $hair) * $hair, $highest + max(abs($highest), $hair) * $hair] as $beyond) {
            try {
                $make($beyond);
                self::fail("{$name} = {$beyond} was taken");
            } catch (OutOfRange $refused) {
                self::assertStringContainsString($name, $refused->getMessage());
            }
        }
    }

    /** @return iterable<string, array{Closure(int): mixed, string, int, int}> */
    public static function wholes(): iterable
    {
        yield 'a gauge' => [static fn (int $value): object => CopperPair::awg($value, 1.0), 'awg', 0, 40];
        yield 'a rate' => [static fn (int $value): float => UartDivider::error(16.0, $value), 'baud', 50, 4_000_000];
        yield 'diodes in a row' => [static fn (int $value): object => new LedResistor(60.0, 0.5, 20.0, $value), 'series_leds', 1, 119];
        yield 'diodes in strings' => [static fn (int $value): object => new LedStrings(12.0, 2.0, 20.0, $value), 'leds', 1, 10_000];
    }

    /** @param  Closure(int): mixed  $make */
    #[DataProvider('wholes')]
    public function test_whole_numbers_likewise(Closure $make, string $name, int $lowest, int $highest): void
    {
        self::assertNotNull($make($lowest));
        self::assertNotNull($make($highest));
        foreach ([$lowest - 1, $highest + 1] as $beyond) {
            try {
                $make($beyond);
                self::fail("{$name} = {$beyond} was taken");
            } catch (OutOfRange $refused) {
                self::assertNotSame('', $refused->getMessage());
            }
        }
    }
}
