<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Infrared;

use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Rundfunk\Learn\LearningRefused;
use Rundfunk\Medium\Infrared\IrLearning;
use Rundfunk\Medium\Infrared\Protocols;
use Rundfunk\Medium\KeyedRadio\KeyedLearning;
use Tests\Core\CoreTestCase;

/** Whatever is given to learn from is learned from or refused, and soon. */
final class HostileLessonsTest extends CoreTestCase
{
    /** @return iterable<string, array{string}> */
    public static function slow(): iterable
    {
        yield 'a frame a mark' => [str_repeat("+1 -99999\n", 199_000)];
        yield 'as many frames as there may be' => [str_repeat('+500 -500 +500 -500 +700 -99999 ', 39_000)];
        yield 'as many presses as there may not be' => [implode("\n", array_map(static fn (int $at): string => '+'.(500 + 100 * ($at % 70)).' -500 +'.(500 + 200 * intdiv($at, 70)).' -1500 +700 -999999', range(1, 5_000)))];
        yield 'presses of no protocol' => [implode("\n", array_map(static fn (int $at): string => '+'.(300 + 211 * ($at * 7919 % 40)).' -'.(300 + 311 * ($at % 25)).' +900 -1500 +700 -999999', range(1, 900)))];
        yield 'one line of 100 kB' => [str_repeat('+9000 -4500 +560 -1690 +560 -560 +560 -40000 ', 2_300)];
    }

    #[DataProvider('slow')]
    public function test_a_long_lesson_is_over_soon(string $text): void
    {
        foreach ([static fn (): array => IrLearning::from($text, [], Protocols::standard()), static fn (): array => KeyedLearning::from($text, [])] as $learn) {
            $from = hrtime(true);
            try {
                $learn();
            } catch (LearningRefused) {
                // As well.
            }
            self::assertLessThan(8.0, (hrtime(true) - $from) / 1e9, 'without the compiler of the server, on a busy machine');
        }
    }

    public function test_one_line_of_any_length_is_read(): void
    {
        $rows = IrLearning::from(str_repeat('+9000 -4500 +560 -1690 +560 -560 +560 -40000 ', 2_300), [], Protocols::standard());
        self::assertSame(2_300, $rows[0]['sends']);
    }

    /** @return iterable<string, array{string}> */
    public static function keymaps(): iterable
    {
        $described = static fn (string $line): string => "[[protocols]]\nname = \"a\"\nprotocol = \"pulse_distance\"\nbits = 12\nbit_pulse = 500\nbit_0_space = 500\nbit_1_space = 1500\n{$line}\n[protocols.scancodes]\n0x1 = \"KEY_A\"\n";
        yield 'a length beyond reason' => [$described('header_pulse = 99999999999999999')];
        yield 'a length that is a float' => [$described('header_pulse = 1e300')];
        yield 'a length below nought' => [$described('header_pulse = -5')];
        yield 'a length that is a flag' => [$described('header_pulse = true')];
        yield 'a carrier of nought' => [$described('carrier = 0')];
        yield 'half a sign' => ["[[protocols]]\nprotocol = \"nec\"\n[protocols.scancodes]\n0x1 = \"\\uD800\"\n"];
        yield 'half a sign as a key' => ["[[protocols]]\nprotocol = \"nec\"\n[protocols.scancodes]\n\"\\uD800\" = \"KEY_A\"\n"];
        yield 'a sign beyond all' => ["[[protocols]]\nprotocol = \"nec\"\n[protocols.scancodes]\n0x1 = \"\\UFFFFFFFF\"\n"];
    }

    #[DataProvider('keymaps')]
    public function test_a_keymap_may_say_anything(string $text): void
    {
        try {
            self::assertNotSame([], IrLearning::from($text, [], Protocols::standard()));
        } catch (LearningRefused $refused) {
            self::assertNotSame('', $refused->getMessage());
        }
    }

    public function test_text_that_somebody_changed_is_learned_from_or_refused(): void
    {
        $random = new Randomizer(new Mt19937(3));
        $seeds = [(string) file_get_contents(dirname(__DIR__, 4).'/docs/examples/linden-hollow.json'), ...array_column(iterator_to_array(self::keymaps(), false), 0), "pulse 9000\nspace 4500\npulse 560\nspace 40000\ncarrier 38000\ntimeout 100000\n", '+9000 -4500 +560 -1690 +560'];
        $odd = ["\x00", "\u{FFFF}", '99999999999999999999', '-', '"', '\\', '[', ']', '=', "\n", '0x', '1e999', "\xC3", '{', '#'];
        $learned = 0;
        for ($round = 0; $round < 1_500; $round++) {
            $text = mb_strcut($seeds[$random->getInt(0, count($seeds) - 1)], 0, 2_000);
            for ($changes = $random->getInt(1, 4); $changes > 0; $changes--) {
                $at = $random->getInt(0, strlen($text));
                $text = substr($text, 0, $at).$odd[$random->getInt(0, count($odd) - 1)].substr($text, $at + $random->getInt(0, 3));
            }
            try {
                IrLearning::from($text, [], Protocols::standard());
                $learned++;
            } catch (LearningRefused) {
                // As well.
            }
        }
        self::assertGreaterThan(50, $learned);
    }
}
