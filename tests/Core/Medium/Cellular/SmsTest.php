<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Cellular;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Medium\Cellular\Sms\Gsm7;
use Rundfunk\Medium\Cellular\Sms\TextLength;
use Symfony\Component\Process\Process;
use Tests\Core\CoreTestCase;

final class SmsTest extends CoreTestCase
{
    public function test_the_alphabet_is_that_of_perls_encode(): void
    {
        // Every character of the basic plane, asked of Perl's Encode in one go: hex of its septets, or nothing.
        $script = 'use Encode; binmode STDOUT, ":ascii"; for my $c (0x20..0x7E, 0xA0..0x17F, 0x370..0x3FF, 0x20AC, 0x0A, 0x0D, 0x0C) { my $s = chr $c; my $b = eval { encode("gsm0338", $s, Encode::FB_CROAK) }; printf "%x %s\n", $c, defined $b ? unpack("H*", $b) : "-"; }';
        $process = new Process(['perl', '-e', $script]);
        $process->mustRun();
        $known = 0;
        foreach (explode("\n", trim($process->getOutput())) as $line) {
            [$code, $hex] = explode(' ', $line);
            $septets = Gsm7::septets(mb_chr((int) hexdec($code)));
            // Perl writes a nought byte for @ and two bytes for what is extended, as we do; it also folds a few letters that are not in the table.
            if ($septets !== null) {
                self::assertSame($hex, implode('', array_map(static fn (int $septet): string => sprintf('%02x', $septet), $septets)), "U+{$code}");
                $known++;
            } else {
                self::assertSame('-', $hex, "U+{$code}");
            }
        }
        self::assertSame(137, $known);
    }

    public function test_packing_is_that_of_the_standard(): void
    {
        // 3GPP TS 23.038's own example, found in every handbook.
        self::assertSame('E8329BFD4697D9EC37', strtoupper(bin2hex(Gsm7::pack(Gsm7::septets('hellohello') ?? []))));
        mt_srand(19);
        for ($round = 0; $round < 200; $round++) {
            $text = implode('', array_map(static fn (): string => ['a', 'Z', '@', '€', '[', 'é', ' ', '7'][mt_rand(0, 7)], range(1, mt_rand(1, 60))));
            $septets = Gsm7::septets($text) ?? [];
            self::assertSame($text, Gsm7::unpack(Gsm7::pack($septets), count($septets)));
        }
    }

    /** @return iterable<string, array{string, string, int, int}> */
    public static function lengths(): iterable
    {
        // 3GPP TS 23.040: 160 and 153, 70 and 67.
        yield 'a full text' => [str_repeat('a', 160), 'gsm7', 160, 1];
        yield 'one letter more' => [str_repeat('a', 161), 'gsm7', 161, 2];
        yield 'two full parts' => [str_repeat('a', 306), 'gsm7', 306, 2];
        yield 'a letter more than two parts' => [str_repeat('a', 307), 'gsm7', 307, 3];
        yield 'eighty euros' => [str_repeat('€', 80), 'gsm7', 160, 1];
        yield 'a euro that would be split between parts' => [str_repeat('a', 152).'€'.str_repeat('a', 152), 'gsm7', 306, 3];
        yield 'a full text of sixteen bits' => [str_repeat('я', 70), 'ucs2', 70, 1];
        yield 'one more' => [str_repeat('я', 71), 'ucs2', 71, 2];
        yield 'a character beyond the basic plane' => ["\u{1F331}", 'ucs2', 2, 1];
        yield 'one of them that would be split' => [str_repeat('я', 66)."\u{1F331}".str_repeat('я', 66), 'ucs2', 134, 3];
        yield 'nothing' => ['', 'gsm7', 0, 1];
    }

    #[DataProvider('lengths')]
    public function test_a_text_takes_so_many_parts(string $text, string $encoding, int $units, int $parts): void
    {
        $length = TextLength::of($text);
        self::assertSame([$encoding, $units, $parts], [$length->encoding, $length->units, $length->parts]);
    }
}
