<?php

declare(strict_types=1);

namespace Tests\Core\Electrical;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Calculator\BadInput;
use Rundfunk\Electrical\CircuitFuse;
use Rundfunk\Electrical\ContactRating;
use Rundfunk\OutOfRange;
use Rundfunk\Plan\LoadKind;
use Rundfunk\Shipped;
use Tests\Core\CoreTestCase;

/** Fuses, contacts, heat and leakage, against ratings that are printed and rules of the trade. */
final class LoadsTest extends CoreTestCase
{
    /** @return iterable<string, array{string, string, float|null, bool}> */
    public static function fuses(): iterable
    {
        // IEC 60127-1, preferred ratings: 1 1.25 1.6 2 2.5 3.15 4 5 6.3 8 10; IEC 60898: 6 10 13 16 20. A quarter above the load is common practice.
        yield 'just 1.25 times the load' => ['0.8', '10', 1.0, true];
        yield 'a little more' => ['0.801', '10', 1.25, true];
        yield '2.5 A ask for 3.125' => ['2.5', '10', 3.15, true];
        yield 'a tenth of each below an ampere' => ['0.05', '1', 0.1, true];
        yield '8 A ask for ten' => ['8', '10', 10.0, true];
        yield 'more than a contact of ten' => ['8.1', '10', 13.0, false];
        yield 'a breaker of sixteen' => ['12', '16', 16.0, true];
        yield 'more than a circuit of a home' => ['17', '16', null, false];
        yield 'a cord that is too thin' => ['4', '3', 5.0, false];
    }

    #[DataProvider('fuses')]
    public function test_fuse(string $load, string $rating, ?float $fuse, bool $ok): void
    {
        $figures = Shipped::calculators()->calculate('fuse', ['load_a' => $load, 'rating_a' => $rating]);
        self::assertSame([$fuse, $ok], [$figures['fuse_a'], $figures['ok']]);
    }

    public function test_no_smaller_fuse_bears_the_load(): void
    {
        $all = [...array_map(static fn (float $one): float => $one / 10, CircuitFuse::PREFERRED), ...CircuitFuse::PREFERRED, 10.0, 13.0, 16.0, 20.0];
        for ($load = 0.01; $load <= 16.0; $load += 0.013) {
            $fits = array_filter($all, static fn (float $one): bool => $one >= 1.25 * $load - 1e-9);
            self::assertEqualsWithDelta(min($fits), CircuitFuse::for($load)->ratedA, 1e-9, "{$load} A");
        }
    }

    /** @return iterable<string, array{string, string, string, string, float, bool}> */
    public static function contacts(): iterable
    {
        // Derating as handbooks of reliability have it (inductive 40 %, motor 20 %, filament 10 %) and inrush as relay makers print it: from memory.
        yield 'a heater of 1.8 kW on ten amperes' => ['7.8', 'resistive', '10', '', 7.8, true];
        yield 'a heater of 2 kW' => ['8.7', 'resistive', '10', '', 8.7, false];
        yield 'a lamp of 100 W' => ['0.43', 'lamp', '10', '', 6.45, true];
        yield 'a lamp of 300 W' => ['1.3', 'lamp', '10', '', 19.5, false];
        yield 'a pump of 400 W' => ['1.74', 'motor', '10', '', 17.4, true];
        yield 'a pump of 700 W' => ['3.04', 'motor', '10', '', 30.4, false];
        yield 'an LED driver of 60 W' => ['0.26', 'capacitive', '10', '', 10.4, true];
        // Common practice: 10 A at 250 V AC are 10 A at 30 V DC, and less than one above 48 V.
        yield 'direct current of 24 V' => ['7', 'resistive', '10', '24', 7.0, true];
        yield 'direct current of 48 V' => ['0.9', 'resistive', '10', '48', 0.9, false];
        yield 'a motor at 12 V' => ['2', 'motor', '10', '12', 20.0, true];
    }

    #[DataProvider('contacts')]
    public function test_contact(string $load, string $kind, string $rating, string $dc, float $inrush, bool $ok): void
    {
        $figures = Shipped::calculators()->calculate('contact', ['load_a' => $load, 'kind' => $kind, 'rating_a' => $rating, 'dc_v' => $dc]);
        self::assertSame([$inrush, $ok], [$figures['inrush_a'], $figures['ok']]);
    }

    public function test_no_kind_is_borne_better_than_a_heater_and_no_volt_more_makes_it_better(): void
    {
        foreach (LoadKind::cases() as $kind) {
            self::assertLessThanOrEqual((new ContactRating(10, LoadKind::Resistive))->mostA(), (new ContactRating(10, $kind))->mostA());
            $was = (new ContactRating(10, $kind))->mostA();
            for ($volts = 5; $volts <= 400; $volts += 5) {
                $most = (new ContactRating(10, $kind, $volts))->mostA();
                self::assertLessThanOrEqual($was, $most);
                $was = $most;
            }
        }
    }

    public function test_heat_and_leakage(): void
    {
        $calculators = Shipped::calculators();
        self::assertSame(['heat_w' => 6.0, 'sink' => true], $calculators->calculate('ssr-heat', ['load_a' => '5', 'drop_v' => '1.2']));
        self::assertSame(['heat_w' => 1.5, 'sink' => false], $calculators->calculate('ssr-heat', ['load_a' => '1.5', 'drop_v' => '1.0']));
        // IEC 61008: it must not trip below half of 30 mA, and may from there on.
        self::assertSame(['sum_ma' => 15.0, 'ok' => true], $calculators->calculate('residual-current', ['leakage_ma' => '3.5, 3.5 8']));
        self::assertSame(['sum_ma' => 15.1, 'ok' => false], $calculators->calculate('residual-current', ['leakage_ma' => '3.5;3.5;8.1']));
        self::assertSame(['sum_ma' => 0.0, 'ok' => true], $calculators->calculate('residual-current', ['leakage_ma' => ' ']));
    }

    /** @return iterable<string, array{string, array<string, string>}> */
    public static function refusals(): iterable
    {
        yield 'a load of nothing' => ['fuse', ['load_a' => '0', 'rating_a' => '10']];
        yield 'a leak that runs back' => ['residual-current', ['leakage_ma' => '3, -1']];
        yield 'no kind' => ['contact', ['load_a' => '1', 'kind' => 'pump', 'rating_a' => '10']];
        yield 'a leak that is no number' => ['residual-current', ['leakage_ma' => '3, much']];
        yield 'no contact' => ['contact', ['load_a' => '1', 'kind' => 'lamp', 'rating_a' => '0']];
    }

    /** @param  array<string, string>  $given */
    #[DataProvider('refusals')]
    public function test_what_cannot_be_is_refused(string $name, array $given): void
    {
        try {
            Shipped::calculators()->calculate($name, $given);
            self::fail('It was taken.');
        } catch (OutOfRange|BadInput $refused) {
            self::assertNotSame('', $refused->getMessage());
        }
    }
}
