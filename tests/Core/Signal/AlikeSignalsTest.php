<?php

declare(strict_types=1);

namespace Tests\Core\Signal;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Rundfunk\Signal\AlikeSignals;
use Rundfunk\Signal\Signal;
use Rundfunk\Signal\TimingDistance;

/** Finds what comparing each signal with each finds, whatever they are. */
final class AlikeSignalsTest extends TestCase
{
    /** @return iterable<string, array{list<Signal>}> */
    public static function lots(): iterable
    {
        foreach (range(1, 8) as $seed) {
            $random = new Randomizer(new Mt19937($seed));
            $bits = static function (int $noise, int $count) use ($random): Signal {
                $lengths = [9_000, 4_500];
                for ($bit = 0; $bit < $count; $bit++) {
                    $lengths = [...$lengths, 560, $random->getInt(0, 1) === 1 ? 1_690 : 560];
                }

                return Signal::ofMicroseconds(array_map(static fn (int $us): float => $us * (1 + $random->getInt(-$noise, $noise) / 100), [...$lengths, 560]));
            };
            yield "bits with noise {$seed}" => [array_map(static fn (): Signal => $bits(4 * $seed, 5), range(1, 60))];
            yield "of different length {$seed}" => [array_map(static fn (): Signal => $bits(10, $random->getInt(1, 4)), range(1, 60))];
            yield "anything {$seed}" => [array_map(static fn (): Signal => Signal::ofMicroseconds(array_map(static fn (): int => $random->getInt(200, 300 * $seed), range(1, 5))), range(1, 60))];
            // A chain, each like the next and the first unlike the last, with a gap in some places.
            yield "a chain {$seed}" => [array_map(static fn (int $at): Signal => Signal::ofMicroseconds([(int) (300 * (1 + $seed / 20) ** $at), 500, $at % 3 === 0 ? 400 : 1_600]), range(1, 40))];
        }
    }

    /** @param  list<Signal>  $signals */
    #[DataProvider('lots')]
    public function test_it_misses_nothing_and_adds_nothing(array $signals): void
    {
        $alike = new AlikeSignals($signals);
        foreach ([[0.0, TimingDistance::SAME], [TimingDistance::SAME, 2 * TimingDistance::SAME]] as [$from, $below]) {
            foreach ($signals as $at => $signal) {
                $expected = [];
                for ($earlier = 0; $earlier < $at; $earlier++) {
                    $distance = TimingDistance::between($signals[$earlier], $signal);
                    if ($distance >= $from && $distance < $below) {
                        $expected[$earlier] = $distance;
                    }
                }
                self::assertSame($expected, iterator_to_array($alike->earlier($at, $from, $below)));
            }
        }
    }
}
