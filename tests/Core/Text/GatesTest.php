<?php

declare(strict_types=1);

namespace Tests\Core\Text;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Rundfunk\Text\CNames;
use Rundfunk\Text\DeviceText;
use Rundfunk\Text\FileName;
use Rundfunk\Text\OneLine;

/** What a plan holds passes one of these on its way into a file. */
final class GatesTest extends TestCase
{
    #[TestWith(['P *\\ int x;', 'P * / int x;'])]
    #[TestWith(['*/*/', '* / * /'])]
    #[TestWith(['????/', '? ? ? ?/'])]
    #[TestWith(["a\r\nb\\", 'a b/'])]
    #[TestWith(["*\u{200B}/", '* /'])]
    #[TestWith(['50 % */', '50 % * /'])]
    #[TestWith(['Tür „A" → Hof', 'Tür „A" → Hof'])]
    public function test_a_comment_cannot_be_left(string $text, string $written): void
    {
        self::assertSame($written, CNames::comment($text));
    }

    #[TestWith(["a\nb\r\nc\td", 'a b c d'])]
    #[TestWith(["a\u{2028}b\u{202E}c\u{85}d", 'a bc d'])]
    #[TestWith(["\xFFa", '?a'])]
    public function test_a_line_stays_one(string $text, string $written): void
    {
        self::assertSame($written, OneLine::of($text));
    }

    /** ITU-T V.250, 5.4.2.2. */
    #[TestWith(['internet.example', '"internet.example"'])]
    #[TestWith(["web\"\rATD112;", '"web\\22\\0DATD112;"'])]
    #[TestWith(['a\\b', '"a\\5Cb"'])]
    #[TestWith(["\x1Aé", '"\\1A\\C3\\A9"'])]
    public function test_a_modem_gets_one_command(string $text, string $written): void
    {
        self::assertSame($written, DeviceText::quoted($text));
    }

    #[TestWith(['hen_house', '-wiring.csv', 'hen_house-wiring.csv'])]
    #[TestWith(['con', '.h', 'con_.h'])]
    #[TestWith(['con', '-wiring.csv', 'con-wiring.csv'])]
    #[TestWith(['', '.json', 'plan.json'])]
    #[TestWith(["../x\r\nSet-Cookie: a", '.json', 'x-set-cookie-a.json'])]
    #[TestWith(['a"b', '.txt', 'a-b.txt'])]
    public function test_a_file_has_a_name_that_every_system_takes(string $name, string $ending, string $written): void
    {
        self::assertSame($written, FileName::of($name, $ending));
    }

    public function test_a_long_name_is_cut(): void
    {
        self::assertSame(str_repeat('a', 60).'.h', FileName::of(str_repeat('a', 200), '.h'));
    }
}
