<?php

declare(strict_types=1);

namespace Tests\Core\Behaviour;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rundfunk\Behaviour\AxisSamples;
use Rundfunk\OutOfRange;

/** Sticks as they are seen to read when somebody moves them about and lets go. */
final class AxisSamplesTest extends TestCase
{
    /** @return iterable<string, array{list<int>, array{int, int, int, bool}}> samples; lowest, centre, highest, whether it rests */
    public static function recordings(): iterable
    {
        yield 'up, down, let go' => [[512, 700, 1_010, 1_015, 1_014, 600, 200, 12, 14, 12, 300, 498, 500, 501, 500, 499, 500], [12, 500, 1_015, true]];
        yield 'let go in between, and longest at the end' => [[505, 505, 506, 1_020, 1_020, 505, 20, 20, 20, 20, 20, 20, 503, 503, 503, 503], [20, 503, 1_020, true]];
        yield 'a middle far from half way' => [[10, 10, 10, 700, 700, 701, 700, 1_000, 1_000, 1_000, 1_000, 1_000], [10, 700, 1_000, true]];
        yield 'never let go' => [[0, 100, 200, 300, 400, 500, 600, 700, 800, 900, 1_000], [0, 500, 1_000, false]];
        yield 'a long stay at an end is no middle' => [[0, 0, 0, 0, 0, 0, 0, 0, 512, 513, 512, 1_023], [0, 512, 1_023, true]];
    }

    /**
     * @param  list<int>  $samples
     * @param  array{int, int, int, bool}  $found
     */
    #[DataProvider('recordings')]
    public function test_ends_and_middle_are_found(array $samples, array $found): void
    {
        $axis = AxisSamples::of($samples);
        self::assertSame($found, [$axis->lowest, $axis->centre, $axis->highest, $axis->rests]);
    }

    public function test_the_dead_band_is_wider_than_it_wavers(): void
    {
        // It wavers by 30 of half a way of 500: twice that is 12 per cent.
        self::assertSame(12, AxisSamples::of([0, 500, 485, 500, 515, 500, 490, 1_000])->deadBandPercent());
        self::assertSame(2, AxisSamples::of([0, 500, 500, 500, 500, 500, 500, 1_000])->deadBandPercent());
    }

    public function test_what_was_not_moved_and_what_is_no_reading_is_refused(): void
    {
        foreach ([array_fill(0, 20, 512), [1, 2, 3], [...range(0, 1_000, 100), 70_000]] as $samples) {
            try {
                AxisSamples::of($samples);
                self::fail('It was taken.');
            } catch (OutOfRange $refused) {
                self::assertSame('samples', $refused->field);
            }
        }
    }

    public function test_a_long_recording_takes_no_time(): void
    {
        $samples = array_map(static fn (int $at): int => (int) (512 + 500 * sin($at / 900)), range(1, 20_000));
        self::assertSame([12, 1_011], [AxisSamples::of($samples)->lowest, AxisSamples::of($samples)->highest]);
    }
}
