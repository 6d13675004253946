<?php

declare(strict_types=1);

namespace Tests\Core\Exchange;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Exchange\Toml;
use Rundfunk\Exchange\TomlRefused;
use Symfony\Component\Process\Process;
use Tests\Core\CoreTestCase;

/** The reader of keymaps against the examples of the TOML 1.0.0 specification and against Python's tomllib (Debian's python3, 3.11). */
final class TomlTest extends CoreTestCase
{
    /** @return iterable<string, array{string, array<array-key, mixed>}> as the specification's own examples have them */
    public static function examples(): iterable
    {
        yield 'a comment, whole and behind a value' => ["# This is a full-line comment\nkey = \"value\"  # This is a comment at the end of a line\n", ['key' => 'value']];
        yield 'bare keys' => ["key = \"value\"\nbare_key = \"value\"\nbare-key = \"value\"\n1234 = \"value\"\n", ['key' => 'value', 'bare_key' => 'value', 'bare-key' => 'value', '1234' => 'value']];
        yield 'quoted keys' => ["\"127.0.0.1\" = \"value\"\n\"character encoding\" = \"value\"\n'quoted \"value\"' = \"value\"\n", ['127.0.0.1' => 'value', 'character encoding' => 'value', 'quoted "value"' => 'value']];
        yield 'a basic string' => ['str = "I\'m a string. \"You can quote me\". Name\tJos\u00E9\nLocation\tSF."', ['str' => "I'm a string. \"You can quote me\". Name\tJosé\nLocation\tSF."]];
        yield 'literal strings' => ["winpath  = 'C:\\Users\\nodejs'\nregex    = '<\\i\\c*\\s*>'\n", ['winpath' => 'C:\\Users\\nodejs', 'regex' => '<\\i\\c*\\s*>']];
        yield 'whole numbers' => ["int1 = +99\nint2 = 42\nint3 = 0\nint4 = -17\nint5 = 1_000\nint8 = 1_2_3_4_5\n", ['int1' => 99, 'int2' => 42, 'int3' => 0, 'int4' => -17, 'int5' => 1000, 'int8' => 12345]];
        yield 'whole numbers of other bases' => ["hex1 = 0xDEADBEEF\nhex2 = 0xdeadbeef\nhex3 = 0xdead_beef\noct1 = 0o01234567\noct2 = 0o755\nbin1 = 0b11010110\n", ['hex1' => 0xDEADBEEF, 'hex2' => 0xDEADBEEF, 'hex3' => 0xDEADBEEF, 'oct1' => 0o1234567, 'oct2' => 0o755, 'bin1' => 0b11010110]];
        yield 'fractions' => ["flt1 = +1.0\nflt2 = 3.1415\nflt3 = -0.01\nflt4 = 5e+22\nflt5 = 1e06\nflt6 = -2E-2\nflt7 = 6.626e-34\n", ['flt1' => 1.0, 'flt2' => 3.1415, 'flt3' => -0.01, 'flt4' => 5e22, 'flt5' => 1e6, 'flt6' => -0.02, 'flt7' => 6.626e-34]];
        yield 'flags' => ["bool1 = true\nbool2 = false\n", ['bool1' => true, 'bool2' => false]];
        yield 'lists' => ["integers = [ 1, 2, 3 ]\ncolors = [ \"red\", \"yellow\", \"green\" ]\nnested_arrays_of_ints = [ [ 1, 2 ], [3, 4, 5] ]\nnested_mixed_array = [ [ 1, 2 ], [\"a\", \"b\", \"c\"] ]\nempty = []\ntrailing = [ 1, 2, ]\n", ['integers' => [1, 2, 3], 'colors' => ['red', 'yellow', 'green'], 'nested_arrays_of_ints' => [[1, 2], [3, 4, 5]], 'nested_mixed_array' => [[1, 2], ['a', 'b', 'c']], 'empty' => [], 'trailing' => [1, 2]]];
        yield 'tables' => ["[table-1]\nkey1 = \"some string\"\nkey2 = 123\n\n[table-2]\nkey1 = \"another string\"\nkey2 = 456\n", ['table-1' => ['key1' => 'some string', 'key2' => 123], 'table-2' => ['key1' => 'another string', 'key2' => 456]]];
        yield 'tables in tables' => ["[ a . \"b\" . 'c' ]\nd = 1\n[a.x]\ny = 2\n", ['a' => ['b' => ['c' => ['d' => 1]], 'x' => ['y' => 2]]]];
        yield 'lists of tables' => ["[[products]]\nname = \"Hammer\"\nsku = 738594937\n\n[[products]]\nname = \"Nail\"\ncolor = \"gray\"\n", ['products' => [['name' => 'Hammer', 'sku' => 738594937], ['name' => 'Nail', 'color' => 'gray']]]];
        yield 'tables in lists of tables' => ["[[fruits]]\nname = \"apple\"\n[fruits.physical]\ncolor = \"red\"\n[[fruits.varieties]]\nname = \"red delicious\"\n[[fruits.varieties]]\nname = \"granny smith\"\n[[fruits]]\nname = \"banana\"\n[[fruits.varieties]]\nname = \"plantain\"\n", ['fruits' => [['name' => 'apple', 'physical' => ['color' => 'red'], 'varieties' => [['name' => 'red delicious'], ['name' => 'granny smith']]], ['name' => 'banana', 'varieties' => [['name' => 'plantain']]]]]];
        yield 'a table whose parent comes later' => ["[a.b]\nc = 1\n[a]\nd = 2\n", ['a' => ['b' => ['c' => 1], 'd' => 2]]];
        yield 'one table in each of a list' => ["[[a]]\n[a.b]\nc = 1\n[[a]]\n[a.b]\nc = 2\n", ['a' => [['b' => ['c' => 1]], ['b' => ['c' => 2]]]]];
        yield 'lines of another system' => ["a = 1\r\nb = 2\r\n", ['a' => 1, 'b' => 2]];
    }

    /** @param  array<string, mixed>  $document */
    #[DataProvider('examples')]
    public function test_the_specification_s_examples_are_read_as_it_says(string $text, array $document): void
    {
        self::assertEquals($document, Toml::read($text));
    }

    public function test_another_reader_reads_the_examples_and_every_keymap_as_we_do(): void
    {
        $texts = array_map(static fn (array $example): string => $example[0], array_values(iterator_to_array(self::examples())));
        foreach ((array) glob('/lib/udev/rc_keymaps/*.toml') as $path) {
            $texts[] = (string) file_get_contents((string) $path);
        }
        self::assertGreaterThan(140, count($texts));
        $python = new Process(['/usr/bin/python3', '-c', "import json, sys, tomllib\nprint(json.dumps([tomllib.loads(text) for text in json.load(sys.stdin)]))"], input: json_encode($texts, JSON_THROW_ON_ERROR));
        $python->mustRun();
        $read = json_decode($python->getOutput(), true, 64, JSON_THROW_ON_ERROR);
        self::assertIsArray($read);
        foreach ($texts as $index => $text) {
            self::assertEquals($read[$index], Toml::read($text), mb_substr($text, 0, 60));
        }
    }

    /** @return iterable<string, array{string, string}> text, what is said of it */
    public static function broken(): iterable
    {
        yield 'a key twice' => ["name = \"Tom\"\nname = \"Pradyun\"\n", 'Line 2 sets "name" again.'];
        yield 'a key without a value' => ["key = # INVALID\n", 'Line 1 has no value.'];
        yield 'no key' => ["= \"no key name\"\n", 'Line 1 is neither a table nor "key = value".'];
        yield 'two values on a line' => ["first = \"Tom\" last = \"Preston-Werner\"\n", 'Line 1 has something behind its value.'];
        yield 'a string that does not end' => ["a = 1\nb = \"open\n", 'Line 2 has a value that is not understood'];
        yield 'an escape there is not' => ['a = "\z"', 'Line 1 has an escape that is not understood: \z.'];
        yield 'a number that is none' => ["a = 1.2.3\n", 'Line 1 has a value that is not understood: "1.2.3".'];
        yield 'a word' => ["a = maybe\n", 'Line 1 has a value that is not understood: "maybe".'];
        yield 'a value opened as a table' => ["a = 1\n[a.b]\nc = 2\n", 'Line 2 opens "a", which is a value already.'];
        yield 'a table twice' => ["[fruit]\napple = \"red\"\n\n[fruit]\norange = \"orange\"\n", 'Line 4 opens "fruit" again.'];
        yield 'a table in a list twice' => ["[[a]]\n[a.b]\n[a.b]\n", 'Line 3 opens "b" again.'];
        yield 'a list that does not end' => ["a = [1, 2\n", 'Line 1 has a list that does not end on its line.'];
        yield 'a list without a comma' => ["a = [1 2]\n", 'Line 1 has a list that does not end on its line.'];
        yield 'a table without a name' => ["[ ]\n", 'Line 1 names a table in a way that is not understood.'];
        yield 'a table of an odd name' => ["[a b]\n", 'Line 1 names a table in a way that is not understood.'];
        yield 'ten thousand brackets' => ['a = '.str_repeat('[', 10_000), 'Line 1 nests lists deeper than any file of use.'];
        yield 'bytes that are no text' => ["a = 1\nb = \"\xFF\xFE\"\n", 'Line 2 is no text in UTF-8.'];
    }

    #[DataProvider('broken')]
    public function test_a_broken_file_is_refused_with_its_line(string $text, string $message): void
    {
        $this->expectException(TomlRefused::class);
        $this->expectExceptionMessage($message);
        Toml::read($text);
    }

    public function test_what_is_quoted_is_read_back(): void
    {
        foreach (['plain', 'with "quotes"', 'back\\slash', "new\nline\ttab", "bell\x07", 'é ü 中', ''] as $text) {
            self::assertSame(['a' => $text], Toml::read('a = '.Toml::quote($text)));
        }
    }
}
