<?php

declare(strict_types=1);

namespace Tests\Core\Medium\KeyedRadio;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Learn\LearningRefused;
use Rundfunk\Medium\KeyedRadio\KeyedCode;
use Rundfunk\Medium\KeyedRadio\KeyedFrame;
use Rundfunk\Medium\KeyedRadio\KeyedLearning;
use Rundfunk\Propagation\QuarterWave;
use Rundfunk\Signal\CaptureText;
use Rundfunk\Signal\Signal;
use Tests\Core\CoreTestCase;

final class KeyedFrameTest extends CoreTestCase
{
    public function test_a_frame_is_as_long_as_its_parts(): void
    {
        // Common practice: 24 bits of four lengths of 350 µs are 33.6 ms, the sync 11.2, the frame 44.8.
        self::assertSame(44_800_000, KeyedFrame::frameNs(24, 350));
        self::assertSame(179_200_000, KeyedFrame::pressNs(24, 350, 4));
        // Counted out of the signal itself, which ends with the sync's mark, and its silence of 31 lengths.
        self::assertSame(44_800_000, KeyedFrame::encode(0xA1B2C4, 350)->durationNs() + 31 * 350_000);
    }

    public function test_codes_survive_the_air_at_any_pulse_and_with_noise(): void
    {
        mt_srand(3);
        for ($round = 0; $round < 300; $round++) {
            $code = mt_rand(0, 0xFFFFFF);
            $pulseUs = mt_rand(150, 600);
            $lengths = array_map(static fn (int $ns): int => (int) round($ns * (1 + 0.15 * (mt_rand() / mt_getrandmax() * 2 - 1))), KeyedFrame::encode($code, $pulseUs)->lengthsNs);
            $said = KeyedFrame::decode(new Signal($lengths));
            self::assertSame($code, $said['code'] ?? null);
            self::assertEqualsWithDelta($pulseUs, $said['pulseUs'], 0.1 * $pulseUs);
        }
    }

    public function test_what_a_receiver_adds_to_marks_or_takes_is_lost_first(): void
    {
        mt_srand(4);
        foreach ([350 => [-120, -80, 80, 120], 180 => [-60, 60], 650 => [-150, 150]] as $pulseUs => $biases) {
            foreach ($biases as $bias) {
                for ($code = 0; $code < 120; $code++) {
                    $bits = mt_rand(0, 0xFF_FFFF);
                    $lengths = KeyedFrame::encode($bits, $pulseUs)->microseconds();
                    foreach ($lengths as $at => $us) {
                        $lengths[$at] = $us + ($at % 2 === 0 ? $bias : -$bias) + mt_rand(-15, 15);
                    }
                    $said = KeyedFrame::decode(Signal::ofMicroseconds($lengths));
                    self::assertNotNull($said, "bias {$bias} at {$pulseUs}");
                    self::assertSame($bits, $said['code']);
                    self::assertEqualsWithDelta($pulseUs, $said['pulseUs'], 6);
                }
            }
        }
    }

    public function test_noise_is_no_code(): void
    {
        mt_srand(5);
        for ($round = 0; $round < 300; $round++) {
            self::assertNull(KeyedFrame::decode(new Signal(array_map(static fn (): int => mt_rand(80_000, 2_000_000), range(1, 49)))));
        }
    }

    /** @return iterable<string, array{string, int, string|null}> */
    public static function trits(): iterable
    {
        // Three values a digit: 00, 11 and 01. Common practice.
        yield 'all nought' => ['000000000000', 0, '000000000000'];
        yield 'all one' => ['111111111111', 0xFFFFFF, '111111111111'];
        yield 'all floating' => ['FFFFFFFFFFFF', 0x555555, 'FFFFFFFFFFFF'];
        yield 'mixed' => ['0F1F00000001', 0b000111010000000000000011, '0F1F00000001'];
        yield 'bits that are no trits' => ['0xA1B2C4', 0xA1B2C4, null];
    }

    #[DataProvider('trits')]
    public function test_twelve_digits_of_three_values_are_twenty_four_bits(string $text, int $bits, ?string $trits): void
    {
        self::assertSame($bits, KeyedCode::parse($text)->bits);
        self::assertSame($trits, KeyedCode::of($bits)->trits());
    }

    public function test_a_capture_gives_what_came_twice_and_drops_what_came_once(): void
    {
        $frame = static fn (int $code): string => str_replace("carrier 0\n", '', CaptureText::write(KeyedFrame::encode($code, 350)))."space 10850\n";
        $rows = KeyedLearning::from($frame(0x3C71E1).$frame(0x3C71E1).$frame(0x123456).$frame(0x3C71E2).$frame(0x3C71E2).$frame(0x3C71E2), []);
        self::assertSame([0x3C71E1, 0x3C71E2], array_map(static fn (array $row): mixed => $row['code']['command'], $rows));
        self::assertSame([2, 3], array_column($rows, 'sends'));
        self::assertSame([44.8, 44.8], array_column($rows, 'periodMs'));
    }

    public function test_a_capture_without_codes_is_refused(): void
    {
        $this->expectException(LearningRefused::class);
        KeyedLearning::from("pulse 9000\nspace 4500\npulse 560\n", []);
    }

    /** @return iterable<string, array{float, int}> */
    public static function wires(): iterable
    {
        // 0.95 · c / 4f.
        yield '433.92 MHz' => [433.92, 164];
        yield '868.3 MHz' => [868.3, 82];
        yield '2440 MHz' => [2440, 29];
    }

    #[DataProvider('wires')]
    public function test_a_quarter_wave_is_so_long(float $freqMhz, int $mm): void
    {
        self::assertSame($mm, (int) round(QuarterWave::lengthMm($freqMhz)));
    }
}
