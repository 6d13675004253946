<?php

declare(strict_types=1);

namespace Tests\Core\Behaviour;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Behaviour\ClassScale;
use Rundfunk\Behaviour\FittedScale;
use Rundfunk\Behaviour\Scales;
use Rundfunk\Build\BehaviourFiles;
use Rundfunk\Electrical\Thermistor;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\NodeKind;
use Tests\Core\CoreTestCase;

/** A curve as a few lines: never farther off than was asked, with no point too many, and read back as it was written. */
final class FittedScaleTest extends CoreTestCase
{
    public function test_a_straight_line_takes_two_points_and_a_bend_three(): void
    {
        $line = FittedScale::of(static fn (int $raw): float => 0.1 * $raw - 20, 0, 1_023, 0.01);
        self::assertNotNull($line);
        self::assertSame([], $line->scale->more);
        $bend = FittedScale::of(static fn (int $raw): float => $raw < 600 ? 0.1 * $raw : 60 + 0.5 * ($raw - 600), 0, 1_023, 0.01);
        self::assertNotNull($bend);
        self::assertSame([600], array_column($bend->scale->more, 'raw'));
        self::assertLessThanOrEqual(0.011, $bend->worst);
    }

    public function test_no_fewer_points_would_do(): void
    {
        $curve = static fn (int $raw): float => 100 * sqrt($raw / 127);
        foreach ([4.0, 2.0, 1.0, 0.5] as $within) {
            $fitted = FittedScale::of($curve, 0, 127, $within);
            self::assertNotNull($fitted);
            self::assertLessThanOrEqual($within + 0.002, $fitted->worst);
            self::assertSame(self::fewestLines($curve, 0, 127, $within), 1 + count($fitted->scale->more), (string) $within);
        }
        self::assertNull(FittedScale::of($curve, 0, 127, 0.001), 'a scale has so many points and no more');
    }

    /** By trying every place to break, from the end: the fewest lines with their ends on the curve. */
    private static function fewestLines(callable $curve, int $from, int $to, float $within): int
    {
        $fewest = [$to => 0];
        for ($at = $to - 1; $at >= $from; $at--) {
            $best = PHP_INT_MAX;
            for ($end = $at + 1; $end <= $to; $end++) {
                $off = 0.0;
                for ($raw = $at + 1; $raw < $end && $off <= $within; $raw++) {
                    $off = max($off, abs($curve($at) + ($curve($end) - $curve($at)) * ($raw - $at) / ($end - $at) - $curve($raw)));
                }
                $best = $off <= $within ? min($best, 1 + $fewest[$end]) : $best;
            }
            $fewest[$at] = $best;
        }

        return $fewest[$from];
    }

    /** @return iterable<string, array{float, float}> °C and Ω of 10 kΩ with B 3950 K, by the B equation with a pocket calculator */
    public static function resistances(): iterable
    {
        yield 'frost' => [-20.0, 105_384.0];
        yield 'ice' => [0.0, 33_621.0];
        yield 'room' => [25.0, 10_000.0];
        yield 'a hot day' => [50.0, 3_588.2];
        yield 'boiling' => [100.0, 697.2];
    }

    #[DataProvider('resistances')]
    public function test_a_thermistor_follows_its_b_value(float $celsius, float $ohms): void
    {
        $thermistor = new Thermistor(10_000, 3_950, 10_000);
        self::assertEqualsWithDelta($ohms, $thermistor->ohms($celsius), 0.001 * $ohms);
        self::assertEqualsWithDelta($celsius, $thermistor->celsius($thermistor->share($celsius)), 1e-9);
        self::assertEqualsWithDelta($ohms / ($ohms + 10_000), $thermistor->share($celsius), 0.001);
    }

    public function test_a_board_reads_the_curve_of_a_class_as_well_as_the_class_is_made(): void
    {
        $catalogue = self::knowledge()->catalogue;
        $curve = $catalogue->modules['sensor-thermistor']->thermistor;
        self::assertNotNull($curve);
        foreach (['8bit-5v-20io', 'wifi-3v3-26io'] as $board) {
            $fitted = ClassScale::of($curve, $catalogue->boards[$board]);
            self::assertNotNull($fitted);
            self::assertLessThanOrEqual($curve->withinC, $fitted->worst);
            $scale = Scales::of(new Control('r', 'n', 'Reading', ControlKind::Reading, settings: [...self::reading(), ...$fitted->settings()]));
            self::assertEquals($fitted->scale, $scale, 'what is written into the plan is read from it');
            foreach ([-15.0, 0.0, 20.0, 37.5, 60.0, 95.0] as $celsius) {
                $raw = (int) floor((1 << (int) $catalogue->boards[$board]->analogueBits) * $curve->thermistor->share($celsius));
                self::assertEqualsWithDelta($celsius, $scale?->milli($raw) / 1_000, $curve->withinC, "{$celsius} °C on {$board}");
            }
        }
    }

    public function test_a_short_and_a_broken_wire_are_no_temperature(): void
    {
        $catalogue = self::knowledge()->catalogue;
        $curve = $catalogue->modules['sensor-thermistor']->thermistor;
        self::assertNotNull($curve);
        // Of 1,024: 67 at 100 °C and 935 at −20; half way to 0 and to 1,024.
        self::assertSame([33, 979], ClassScale::sound($curve, $catalogue->boards['8bit-5v-20io']));
        $plan = self::sketch()->node('n', 'Node', NodeKind::Controller, null, '8bit-5v-20io')->module('t', 'n', 'sensor-thermistor', 'Probe')
            ->control('r', 'n', 'Warmth', ControlKind::Reading, 't', 'OUT', ['unit' => '°C', 'threshold' => 40.0, 'rawFrom' => 67, 'unitFrom' => 100.0, 'rawTo' => 935, 'unitTo' => -20.0])->output('o', 'n', 'Heater')->route('r', Action::Off, 'o')->plan();
        $behaviour = BehaviourFiles::of($plan, $plan->nodes()[0], self::knowledge())[0]->content;
        self::assertStringContainsString('NODE_FAILED below 33 (a short) or above 979 (a broken wire)', $behaviour);
    }

    /** @return array<string, bool|float|int|string|null> */
    private static function reading(): array
    {
        return ControlKind::Reading->settings()->completed([]);
    }
}
