<?php

declare(strict_types=1);

namespace Tests\Core\Exchange;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Exchange\Csv;
use Tests\Core\CoreTestCase;

/** Tables as RFC 4180 has them, read back by PHP's own reader, and nothing in them that a spreadsheet would run. */
final class CsvTest extends CoreTestCase
{
    /** @return iterable<string, array{string, string}> cell, as it is written */
    public static function cells(): iterable
    {
        yield 'a word' => ['word', 'word'];
        yield 'a comma' => ['a,b', '"a,b"'];
        yield 'a quote is doubled' => ['say "no"', '"say ""no"""'];
        yield 'a new line' => ["two\nlines", "\"two\nlines\""];
        yield 'nothing' => ['', ''];
        yield 'a formula' => ['=1+1', "'=1+1"];
        yield 'a formula with a comma' => ['=SUM(A1,A2)', "\"'=SUM(A1,A2)\""];
        yield 'a phone number' => ['+442079460321', '+442079460321'];
        yield 'a number below nought' => ['-3.5', '-3.5'];
        yield 'a sum that begins as a number does' => ['+1+cmd', "'+1+cmd"];
        yield 'a number with a line behind it' => ["-3\n", "\"'-3\n\""];
        yield 'an at sign' => ['@cmd', "'@cmd"];
        yield 'a tab first' => ["\t=1", "'\t=1"];
    }

    #[DataProvider('cells')]
    public function test_a_cell_is_written_so(string $cell, string $written): void
    {
        self::assertSame("{$written}\r\n", Csv::write([[$cell]]));
    }

    public function test_another_reader_gets_the_same_rows(): void
    {
        $rows = [['name', 'note'], ['Lamp, "old"', "two\nlines"], ['', 'é'], ['a"b', ',']];
        $file = fopen('php://memory', 'w+');
        self::assertIsResource($file);
        fwrite($file, Csv::write($rows));
        rewind($file);
        $read = [];
        while (($row = fgetcsv($file, null, ',', '"', '')) !== false) {
            $read[] = $row;
        }
        self::assertSame($rows, $read);
    }
}
