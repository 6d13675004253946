<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Infrared;

use Random\Engine\Mt19937;
use Random\Randomizer;
use Rundfunk\Medium\Infrared\IrCodes;
use Rundfunk\Medium\Infrared\Protocols;
use Rundfunk\Medium\Infrared\Twins;
use Rundfunk\Plan\KeyCode;
use Tests\Core\CoreTestCase;

final class TwinsTest extends CoreTestCase
{
    /** @return list<KeyCode> some known by protocol, some by their timings alone, some by a foreign number */
    private static function codes(int $seed, int $count): array
    {
        $random = new Randomizer(new Mt19937($seed));
        $protocols = Protocols::standard();
        $codes = [];
        for ($at = 0; $at < $count; $at++) {
            $nec = new KeyCode("c{$at}", 'n', "K{$at}", 'nec', 4, $random->getInt(0, 9), null, null, '', null);
            $codes[] = match ($random->getInt(0, 3)) {
                0 => $nec,
                1 => new KeyCode("c{$at}", 'n', "K{$at}", 'named', null, null, sprintf('0x%02x', $random->getInt(0, 5)), null, '', 'foreign'),
                // The same key, captured: a known one may be like it.
                2 => new KeyCode("c{$at}", 'n', "K{$at}", 'raw', null, null, null, null, IrCodes::signal($nec, $protocols)?->text() ?? '', null),
                default => new KeyCode("c{$at}", 'n', "K{$at}", 'raw', null, null, null, null, implode(' ', array_map(static fn (): int => 500 * $random->getInt(1, 4), range(1, 5))), null),
            };
        }

        return $codes;
    }

    public function test_each_code_comes_with_those_before_it_that_it_is_like(): void
    {
        $protocols = Protocols::standard();
        foreach (range(1, 20) as $seed) {
            $codes = self::codes($seed, 50);
            $expected = [];
            foreach ($codes as $at => $code) {
                $alike = array_filter(array_slice($codes, 0, $at), static fn (KeyCode $earlier): bool => IrCodes::same($earlier, $code, $protocols));
                $known = array_filter($alike, static fn (KeyCode $earlier): bool => $code->protocol !== 'raw' && $earlier->protocol !== 'raw');
                // Of those that say what they are the first will do, for they are all one.
                foreach ([...array_slice($known, 0, 1), ...array_diff_key($alike, $known)] as $earlier) {
                    $expected[] = "{$earlier->id} {$code->id}";
                }
            }
            self::assertNotSame([], $expected);
            self::assertEqualsCanonicalizing($expected, array_map(static fn (array $pair): string => "{$pair[0]->id} {$pair[1]->id}", Twins::among($codes, $protocols)));
        }
    }

    public function test_a_thousand_captured_codes_take_no_time_to_speak_of(): void
    {
        $random = new Randomizer(new Mt19937(7));
        $codes = [];
        for ($at = 0; $at < 1_000; $at++) {
            $timings = array_merge([9_000, 4_500], ...array_map(static fn (): array => [560, $random->getInt(0, 1) === 1 ? 1_690 : 560], range(1, 32)), ...[[560]]);
            $codes[] = new KeyCode("c{$at}", 'n', "K{$at}", 'raw', null, null, null, null, implode(' ', $timings), null);
        }
        $from = hrtime(true);
        Twins::among($codes, Protocols::standard());
        // Compared two by two, with the texts read each time, this took half a minute.
        self::assertLessThan(2.0, (hrtime(true) - $from) / 1e9);
    }
}
