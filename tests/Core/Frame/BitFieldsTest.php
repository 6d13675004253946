<?php

declare(strict_types=1);

namespace Tests\Core\Frame;

use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Rundfunk\Build\CFrame;
use Rundfunk\Frame\FieldSize;
use Rundfunk\Frame\FrameCodec;
use Rundfunk\Frame\FrameFault;
use Rundfunk\Frame\FrameField;
use Rundfunk\Frame\FrameLayout;
use Rundfunk\Frame\PlacedField;
use Tests\Core\CoreTestCase;
use Tests\Core\RunsPrograms;

/** Fields of so many bits: packed by hand, and by the core, the host's compiler and an 8-bit board's alike. */
final class BitFieldsTest extends CoreTestCase
{
    use RunsPrograms;

    public function test_bits_are_filled_from_the_lowest_up_and_whole_bytes_begin_at_a_byte(): void
    {
        $layout = FrameLayout::ofItsLength(
            new FrameField('on', FieldSize::between(0, 1), ''),
            new FrameField('gear', FieldSize::between(-1, 5), ''),
            new FrameField('way', FieldSize::between(-100, 100), ''),
            new FrameField('who', FieldSize::u8(), ''),
            new FrameField('last', FieldSize::between(0, 3), ''),
        );
        self::assertSame(['byte 0, bit 0', 'byte 0, bits 1–3', 'byte 0, bit 4, to byte 1, bit 3', 'byte 2', 'byte 3, bits 0–1'], array_map(static fn (PlacedField $one): string => $one->words(), $layout->placed()));
        // By hand: on 1; gear 2 is 3 above −1, 011; way −37 is 63 above −100, 00111111; who 0xA5; last 2, 10.
        // Byte 0 is 1111 011 1, byte 1 is 0000 0011.
        $bytes = (new FrameCodec($layout))->encode(['on' => 1, 'gear' => 2, 'way' => -37, 'who' => 0xA5, 'last' => 2]);
        self::assertSame('f703a502', bin2hex($bytes));
        self::assertSame(['on' => 1, 'gear' => 2, 'way' => -37, 'who' => 0xA5, 'last' => 2], (new FrameCodec($layout))->decode($bytes));
    }

    /** @return iterable<string, array{int, int, int}> lowest, highest, bits: the logarithm to base two of how many there are, rounded up */
    public static function spans(): iterable
    {
        yield 'yes or no' => [0, 1, 1];
        yield 'one value is still a bit' => [7, 7, 1];
        yield 'three' => [0, 2, 2];
        yield 'a percentage' => [0, 100, 7];
        yield 'both ways' => [-100, 100, 8];
        yield '256' => [-128, 127, 8];
        yield '257' => [-128, 128, 9];
        yield 'all that a message bears' => [-32_768, 32_767, 16];
    }

    #[DataProvider('spans')]
    public function test_a_span_takes_as_few_bits_as_tell_its_values_apart(int $lowest, int $highest, int $bits): void
    {
        self::assertSame($bits, FieldSize::between($lowest, $highest)->bits);
    }

    public function test_what_stands_for_nothing_is_refused(): void
    {
        $codec = new FrameCodec(FrameLayout::ofItsLength(new FrameField('way', FieldSize::between(-3, 1), '')));
        self::assertSame(['way' => 1], $codec->decode("\x04"));
        $this->expectException(FrameFault::class);
        $codec->decode("\x05");
    }

    public function test_core_host_and_8_bit_board_agree_on_random_layouts(): void
    {
        $chance = new Randomizer(new Mt19937(20261127));
        $c = '';
        $expected = '';
        for ($number = 0; $number < 12; $number++) {
            $layout = self::drawn($chance);
            $c .= implode("\n", (new CFrame($layout, "L{$number}"))->lines());
            $rows = [];
            for ($row = 0; $row < 6; $row++) {
                $values = [];
                foreach ($layout->fields as $field) {
                    $values[$field->name] = [$field->size->lowest, $field->size->highest, $chance->getInt($field->size->lowest, $field->size->highest)][min(2, $row)];
                }
                $bytes = (new FrameCodec($layout))->encode($values);
                self::assertSame($values, (new FrameCodec($layout))->decode($bytes));
                $rows[] = '{ '.implode(', ', array_map(static fn (int $value): string => $value > 0x7FFF ? "{$value}UL" : ($value === -0x8000 ? '-32767 - 1' : (string) $value), $values)).' }';
                $expected .= bin2hex($bytes)."\n";
                // Any bytes: what the core refuses, the header refuses.
                $noise = $chance->getBytes($layout->lengthBytes);
                $rows[] = self::read($layout, $noise) === null ? '!'.bin2hex($noise) : null;
            }
            $noises = array_values(array_filter($rows, static fn (?string $one): bool => $one !== null && $one[0] === '!'));
            $sound = array_values(array_filter($rows, static fn (?string $one): bool => $one !== null && $one[0] === '{'));
            $c .= "static const struct l{$number}_frame rows{$number}[] = { ".implode(', ', $sound)." };\n";
            $c .= 'static const uint8_t noise'.$number.'[]['.$layout->lengthBytes.'] = { '.implode(', ', array_map(static fn (string $one): string => '{ '.implode(', ', array_map(static fn (string $byte): string => "0x{$byte}", str_split(substr($one, 1), 2))).' }', $noises ?: ['!'.str_repeat('00', $layout->lengthBytes)]))." };\n";
            $same = implode(' && ', array_map(static fn (FrameField $field): string => "back.{$field->name} == rows{$number}[n].{$field->name}", $layout->fields));
            $c .= "static void run{$number}(void)\n{\n    uint8_t bytes[{$layout->lengthBytes}]; struct l{$number}_frame back;\n    for (unsigned n = 0; n < sizeof rows{$number} / sizeof rows{$number}[0]; n++) {\n        l{$number}_frame_encode(&rows{$number}[n], bytes);\n        if (l{$number}_frame_decode(&back, bytes, {$layout->lengthBytes}) && {$same}) hexes(bytes, {$layout->lengthBytes});\n    }\n"
                .'    unsigned noises = '.count($noises).";\n    for (unsigned n = 0; n < noises; n++) if (l{$number}_frame_decode(&back, noise{$number}[n], {$layout->lengthBytes})) put('!');\n    (void)noise{$number};\n}\n";
        }
        $main = "static void hexes(const uint8_t *bytes, uint8_t count)\n{\n    for (uint8_t n = 0; n < count; n++) { put(\"0123456789abcdef\"[bytes[n] >> 4]); put(\"0123456789abcdef\"[bytes[n] & 15]); }\n    put('\\n');\n}\n{$c}\nint main(void)\n{\n".implode('', array_map(static fn (int $number): string => "    run{$number}();\n", range(0, 11)))."    FINISH;\n}\n";
        file_put_contents("{$this->folder}/host.c", "#include <stdio.h>\n#include <stdint.h>\nstatic void put(char c) { putchar(c); }\n#define FINISH return 0\n{$main}");
        file_put_contents("{$this->folder}/board.c", "#include <stdint.h>\n#include <avr/io.h>\n#include <avr/interrupt.h>\n#include <avr/sleep.h>\nstatic void put(char c) { UCSR0B = (1 << TXEN0); while (!(UCSR0A & (1 << UDRE0))) { } UDR0 = (unsigned char)c; }\n#define FINISH cli(); sleep_mode(); return 0\n{$main}");
        $this->execute('gcc', '-std=c99', '-pedantic', '-Wall', '-Wextra', '-Werror', '-fsanitize=address,undefined', '-o', 'host', 'host.c');
        self::assertSame($expected, $this->execute('./host'));
        $this->execute('avr-gcc', '-mmcu=atmega644', '-std=c99', '-Os', '-Wall', '-Wextra', '-Werror', '-DF_CPU=16000000UL', '-o', 'board.elf', 'board.c');
        $printed = (string) preg_replace('/\e\[[0-9;]*m/', '', $this->execute('simavr', '-m', 'atmega644', '-f', '16000000', 'board.elf'));
        preg_match_all('/^!*[0-9a-f]{2,}(?=\.?\s*$)/m', $printed, $frames);
        self::assertSame($expected, implode("\n", $frames[0])."\n");
    }

    /** @return array<string, int>|null */
    private static function read(FrameLayout $layout, string $bytes): ?array
    {
        try {
            return (new FrameCodec($layout))->decode($bytes);
        } catch (FrameFault) {
            return null;
        }
    }

    private static function drawn(Randomizer $chance): FrameLayout
    {
        $fields = [];
        for ($number = 0; $number < 7; $number++) {
            $lowest = $chance->getInt(0, 2) === 0 ? 0 : -$chance->getInt(1, 32_767);
            $size = match ($chance->getInt(0, 8)) {
                0 => FieldSize::u8(),
                1 => FieldSize::i16(),
                2 => FieldSize::u32(),
                3, 4 => FieldSize::between(0, 1),
                5 => FieldSize::between(-1, $chance->getInt(1, 30)),
                6 => FieldSize::between(0, $chance->getInt(1, 32_767)),
                default => FieldSize::between($lowest, $chance->getInt($lowest + 1, 32_767)),
            };
            $fields[] = new FrameField("f{$number}", $size, '', $number === 5 ? $chance->getInt(0, 12) : 0);
        }
        $least = FrameLayout::ofItsLength(...$fields)->usedBytes();

        return new FrameLayout($least + $chance->getInt(0, 3), $fields);
    }
}
