<?php

declare(strict_types=1);

namespace Tests\Core\Medium\KeyedRadio;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Learn\LearningRefused;
use Rundfunk\Medium\KeyedRadio\KeyedFrame;
use Rundfunk\Medium\KeyedRadio\KeyedLearning;
use Rundfunk\Plan\KeyCode;
use Tests\Core\CoreTestCase;

/** A receiver's data pin is mostly noise: what is learned from it must be what was pressed. */
final class KeyedLearningTest extends CoreTestCase
{
    /** @return iterable<string, array{int, int}> code, pulse in microseconds */
    public static function fobs(): iterable
    {
        yield 'the usual pulse' => [0x3C71E1, 350];
        yield 'a slow fob' => [0x00_0001, 600];
        yield 'a quick one' => [0xFF_FFFE, 180];
        yield 'bits in turn' => [0x55_5555, 350];
    }

    #[DataProvider('fobs')]
    public function test_a_press_is_learned_with_its_pulse_whatever_the_receiver_adds(int $code, int $pulseUs): void
    {
        mt_srand($code);
        $capture = '';
        for ($send = 0; $send < 6; $send++) {
            foreach (KeyedFrame::encode($code, $pulseUs)->lengthsNs as $at => $ns) {
                // A tenth either way: what cheap receivers do to edges. Common practice.
                $us = (int) round($ns / 1000 * (1 + mt_rand(-100, 100) / 1000));
                $capture .= ($at % 2 === 0 ? 'pulse ' : 'space ').$us."\n";
            }
            $capture .= 'space '.(31 * $pulseUs)."\n";
        }
        $rows = KeyedLearning::from($capture, []);
        self::assertCount(1, $rows);
        self::assertSame($code, $rows[0]['code']['command']);
        self::assertSame(6, $rows[0]['sends']);
        self::assertMatchesRegularExpression('/^pulse=\d+$/', (string) $rows[0]['code']['format']);
        self::assertEqualsWithDelta($pulseUs, (int) substr((string) $rows[0]['code']['format'], 6), 0.15 * $pulseUs);
    }

    public function test_two_keys_pressed_one_after_the_other_are_two_rows_and_a_known_one_is_named(): void
    {
        $press = static fn (int $code): string => str_repeat(self::frame($code, 350), 4);
        $known = new KeyCode('c', 'n', 'Key A', 'keyed', null, 0x3C71E1);
        $rows = KeyedLearning::from($press(0x3C71E1).$press(0x3C71E2), [$known]);
        self::assertSame(['Key A', null], array_column($rows, 'known'));
        self::assertSame([0x3C71E1, 0x3C71E2], array_map(static fn (array $row): mixed => $row['code']['command'], $rows));
    }

    public function test_what_comes_once_is_taken_for_noise(): void
    {
        $this->expectException(LearningRefused::class);
        $this->expectExceptionMessage('No fixed code came at least twice');
        KeyedLearning::from(self::frame(0x3C71E1, 350), []);
    }

    public function test_nothing_is_learned_from_noise_however_much_there_is(): void
    {
        mt_srand(5);
        $noise = '';
        for ($edge = 0; $edge < 20_000; $edge++) {
            $noise .= ($edge % 2 === 0 ? 'pulse ' : 'space ').mt_rand(20, 3_000)."\n";
        }
        $this->expectException(LearningRefused::class);
        KeyedLearning::from($noise, []);
    }

    private static function frame(int $code, int $pulseUs): string
    {
        $text = '';
        foreach (KeyedFrame::encode($code, $pulseUs)->lengthsNs as $at => $ns) {
            $text .= ($at % 2 === 0 ? 'pulse ' : 'space ').intdiv($ns, 1000)."\n";
        }

        return $text.'space '.(31 * $pulseUs)."\n";
    }
}
