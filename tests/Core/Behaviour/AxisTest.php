<?php

declare(strict_types=1);

namespace Tests\Core\Behaviour;

use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rundfunk\Behaviour\Axis;
use Rundfunk\Behaviour\Travel;
use Rundfunk\OutOfRange;

/** Stick arithmetic in whole numbers, −1024 to 1024. Formulas: common practice of model radio control. */
final class AxisTest extends TestCase
{
    use TestTrait;

    /** @return iterable<string, array{Axis, array<int, int>}> an axis, and its position by raw value */
    public static function positions(): iterable
    {
        yield 'a 10-bit stick' => [new Axis(0, 512, 1023), [0 => -1024, 256 => -512, 512 => 0, 768 => 513, 1023 => 1024]];
        yield 'a middle that is off its middle' => [new Axis(100, 400, 1000), [100 => -1024, 250 => -512, 400 => 0, 700 => 512, 1000 => 1024]];
        yield 'wired the other way round' => [new Axis(1023, 512, 0), [1023 => -1024, 512 => 0, 256 => 512, 0 => 1024]];
        yield 'beyond its ends' => [new Axis(100, 500, 900), [0 => -1024, 1023 => 1024]];
        yield 'a dead band of a tenth' => [new Axis(-1024, 0, 1024, 102), [102 => 0, -102 => 0, 103 => 1, 563 => 512, -563 => -512, 1024 => 1024]];
        // Expo 0.3 of 0.5 is 0.3875, 0.7 is 0.2375: 396.8 and 243.2 of 1024, less what is cut off.
        yield 'expo 0.3' => [new Axis(-1024, 0, 1024, 0, 307), [512 => 396, -512 => -396, 1024 => 1024]];
        yield 'expo 0.7' => [new Axis(-1024, 0, 1024, 0, 717), [512 => 243, -512 => -243, -1024 => -1024]];
        yield 'all cube' => [new Axis(-1024, 0, 1024, 0, 1024), [512 => 128, 100 => 0, -512 => -128]];
    }

    /** @param  array<int, int>  $positions */
    #[DataProvider('positions')]
    public function test_a_raw_value_is_a_position(Axis $axis, array $positions): void
    {
        foreach ($positions as $raw => $position) {
            self::assertSame($position, $axis->position($raw), "raw {$raw}");
        }
    }

    /** @return iterable<string, array{Travel, array<int, int>}> a target, and its value by position */
    public static function values(): iterable
    {
        yield 'a motor' => [new Travel(-100, 100), [-1024 => -100, -512 => -50, 0 => 0, 1024 => 100]];
        yield 'a motor that is slower backwards' => [new Travel(-30, 100), [-1024 => -30, 0 => 0, 1024 => 100]];
        yield 'a dimmer: the middle is half' => [new Travel(0, 255), [-1024 => 0, 0 => 127, 1024 => 255]];
        yield 'reversed' => [new Travel(-100, 100, reverse: true), [-1024 => 100, 512 => -50]];
        yield 'trimmed, and clipped at its end' => [new Travel(-100, 100, trim: 102), [-1024 => -90, 0 => 9, 1024 => 100]];
        yield 'half way at most, down only' => [new Travel(-90, 90, endLow: 512), [-1024 => -45, 1024 => 90]];
        yield 'reversed first, then the end of the side it comes to' => [new Travel(-90, 90, reverse: true, endLow: 512), [1024 => -45, -1024 => 90]];
        yield 'in hertz' => [new Travel(0, 5000), [-1024 => 0, 1024 => 5000]];
    }

    /** @param  array<int, int>  $values */
    #[DataProvider('values')]
    public function test_a_position_is_one_targets_value(Travel $travel, array $values): void
    {
        foreach ($values as $position => $value) {
            self::assertSame($value, $travel->value($position), "at {$position}");
        }
    }

    public function test_farther_is_never_less(): void
    {
        $this->limitTo(400)->forAll(Generators::choose(0, 1023), Generators::choose(0, 1024), Generators::choose(-512, 511), Generators::choose(0, 400))
            ->then(static function (int $band, int $expo, int $trim, int $least): void {
                $axis = new Axis($least, 500, 1023, $band, $expo);
                $travel = new Travel(-100, 100, trim: $trim);
                $before = [-1025, -101];
                for ($raw = 0; $raw <= 1023; $raw += 11) {
                    $position = $axis->position($raw);
                    $now = [$position, $travel->value($position)];
                    self::assertTrue($now[0] >= $before[0] && $now[1] >= $before[1], "raw {$raw}");
                    $before = $now;
                }
                self::assertSame([-1024, 1024, 0], [$axis->position(0), $axis->position(1023), $axis->position(500)]);
            });
    }

    public function test_a_middle_at_an_end_is_refused(): void
    {
        foreach ([[0, 0, 1023], [0, 1023, 1023]] as [$lowest, $centre, $highest]) {
            try {
                new Axis($lowest, $centre, $highest);
                self::fail('It was taken.');
            } catch (OutOfRange $refused) {
                self::assertSame('centre', $refused->field);
            }
        }
    }
}
