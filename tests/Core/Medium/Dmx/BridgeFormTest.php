<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Dmx;

use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Rundfunk\Medium\Dmx\BridgeForm;
use Rundfunk\Medium\Dmx\BridgeFormRefused;
use Rundfunk\Medium\Dmx\BridgeReader;
use Rundfunk\Medium\Dmx\CBridge;
use Tests\Core\CoreTestCase;
use Tests\Core\RunsPrograms;

/** The words of a bridge: what goes in comes out, what is no command sets nothing, and the bridge's program in C does the same. */
final class BridgeFormTest extends CoreTestCase
{
    use RunsPrograms;

    private const TEMPLATES = ['{slot}c{value}w', 'D{slot}:{value}\n', 'v{value}@{slot};', 'set {slot} to {value}\r\n', '{slot},{value}\r'];

    /** @return list<array{slot: int, value: int}> */
    private static function heard(BridgeForm $form, string $text): array
    {
        $reader = new BridgeReader($form);
        $heard = [];
        foreach ($text === '' ? [] : str_split($text) as $letter) {
            $set = $reader->take($letter);
            if ($set !== null) {
                $heard[] = $set;
            }
        }

        return $heard;
    }

    public function test_every_slot_and_value_comes_out_as_it_went_in(): void
    {
        foreach (self::TEMPLATES as $template) {
            $form = BridgeForm::from($template);
            foreach ([1, 2, 9, 10, 99, 100, 255, 256, 511, 512] as $slot) {
                foreach ([0, 1, 9, 10, 100, 254, 255] as $value) {
                    self::assertSame([['slot' => $slot, 'value' => $value]], self::heard($form, $form->text($slot, $value)), $template);
                }
            }
        }
        // Common practice: seven letters at 9600 baud are 7.3 ms.
        self::assertSame('12c255w', BridgeForm::from('{slot}c{value}w')->text(12, 255));
        self::assertEqualsWithDelta(7.3, 7 * 10 * 1_000 / 9_600, 0.01);
    }

    /** @return iterable<string, array{string}> */
    public static function noCommands(): iterable
    {
        foreach (['12c256w', '0c10w', '513c10w', '12c9.5w', '12c-5w', '12c 5w', '012c5w', '12c05w', '1234c5w', '12c2555w', '12c5', 'c5w', '12cw', '12C5w', "12c5\0w"] as $text) {
            yield $text => [$text];
        }
    }

    #[DataProvider('noCommands')]
    public function test_what_is_no_command_sets_nothing_and_spoils_nothing(string $text): void
    {
        $form = BridgeForm::from('{slot}c{value}w');
        $reader = new BridgeReader($form);
        foreach (str_split($text) as $letter) {
            $set = $reader->take($letter);
            self::assertNull($set, $text);
        }
        self::assertContains(['slot' => 7, 'value' => 8], self::heard($form, $text.'w7c8w'));
        self::assertSame([['slot' => 7, 'value' => 8]], self::heard($form, '1234c5w7c8w'), 'The tail of a number that is too long is no number.');
    }

    /** @return iterable<string, array{string}> */
    public static function unreadable(): iterable
    {
        yield 'no slot' => ['c{value}w'];
        yield 'no value' => ['{slot}c'];
        yield 'twice' => ['{slot}{slot}c{value}w'];
        yield 'nothing between' => ['{slot}{value}w'];
        yield 'nothing behind' => ['{slot}c{value}'];
        yield 'a digit beside' => ['{slot}c{value}0'];
        yield 'a digit before' => ['1{slot}c{value}w'];
        yield 'letters with accents' => ['{slot}ü{value}w'];
        yield 'a brace' => ['{slot}c{value}}'];
        yield 'nothing at all' => [''];
    }

    #[DataProvider('unreadable')]
    public function test_words_that_no_bridge_could_read_are_refused(string $template): void
    {
        $this->expectException(BridgeFormRefused::class);
        BridgeForm::from($template);
    }

    public function test_noise_never_sets_what_there_is_not_and_the_program_in_c_agrees(): void
    {
        foreach (self::TEMPLATES as $number => $template) {
            $form = BridgeForm::from($template);
            $chance = new Randomizer(new Mt19937($number + 1));
            $letters = "0123456789cw,:;@D vsetto\r\n\0\xff";
            $text = '';
            for ($step = 0; $step < 3_000; $step++) {
                $text .= match ($chance->getInt(0, 5)) {
                    0, 1 => $form->text($chance->getInt(1, 520), $chance->getInt(0, 260)),
                    2 => substr($form->text($chance->getInt(1, 512), $chance->getInt(0, 255)), 0, $chance->getInt(0, 5)),
                    3 => $chance->getBytes(1),
                    default => $letters[$chance->getInt(0, strlen($letters) - 1)],
                };
            }
            $heard = self::heard($form, $text);
            self::assertGreaterThan(300, count($heard));
            foreach ($heard as $set) {
                self::assertTrue($set['slot'] >= 1 && $set['slot'] <= 512 && $set['value'] >= 0 && $set['value'] <= 255);
            }
            file_put_contents($this->folder.'/bridge.h', CBridge::text($form, $template, 512, 120, 16));
            file_put_contents($this->folder.'/noise', $text);
            file_put_contents($this->folder.'/run.c', <<<'C'
                #include <stdio.h>
                #include "bridge.h"
                int main(void)
                {
                    static struct bridge bridge;
                    int letter;
                    bridge_start(&bridge);
                    while ((letter = getchar()) != EOF) {
                        static uint8_t was[BRIDGE_SLOTS];
                        uint16_t at;
                        for (at = 0; at < BRIDGE_SLOTS; at++) { was[at] = bridge.slots[at]; }
                        if (bridge_take(&bridge, (uint8_t)letter)) { printf("set\n"); }
                        for (at = 0; at < BRIDGE_SLOTS; at++) { if (was[at] != bridge.slots[at]) { printf("%u %u\n", at + 1, bridge.slots[at]); } }
                    }
                    return 0;
                }
                C);
            $this->execute('gcc', '-std=c99', '-pedantic', '-Wall', '-Wextra', '-Werror', '-fsanitize=address,undefined', '-fno-sanitize-recover=all', '-o', 'run', 'run.c');
            $said = '';
            $slots = [];
            foreach ($heard as $set) {
                $said .= "set\n".(($slots[$set['slot']] ?? 0) === $set['value'] ? '' : "{$set['slot']} {$set['value']}\n");
                $slots[$set['slot']] = $set['value'];
            }
            self::assertSame($said, $this->execute('sh', '-c', './run < noise'), $template);
        }
    }
}
