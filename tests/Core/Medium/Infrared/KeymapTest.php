<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Infrared;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Medium\Infrared\IrCodes;
use Rundfunk\Medium\Infrared\Keymap\Keymap;
use Rundfunk\Medium\Infrared\Keymap\KeymapCodes;
use Rundfunk\Medium\Infrared\Keymap\KeymapFile;
use Rundfunk\Medium\Infrared\Keymap\KeymapRefused;
use Rundfunk\Medium\Infrared\Protocols;
use Rundfunk\Medium\Infrared\PulseFormat;
use Rundfunk\Plan\KeyCode;
use Tests\Core\CoreTestCase;

/** The open keymaps that Debian's ir-keytable carries, 148 files with 5831 codes, read where the package puts them. */
final class KeymapTest extends CoreTestCase
{
    private const FOLDER = '/lib/udev/rc_keymaps';

    public function test_every_keymap_of_the_package_is_read_and_comes_back_the_same(): void
    {
        $paths = glob(self::FOLDER.'/*.toml');
        self::assertIsArray($paths);
        self::assertCount(148, $paths);
        $codes = 0;
        foreach ($paths as $path) {
            $keymaps = KeymapFile::read((string) file_get_contents($path));
            self::assertEquals($keymaps, KeymapFile::read(KeymapFile::write($keymaps)), basename($path));
            $codes += array_sum(array_map(static fn (Keymap $keymap): int => count($keymap->keys), $keymaps));
        }
        self::assertSame(5831, $codes);
    }

    public function test_what_we_know_how_to_send_is_decoded_again_from_what_we_send(): void
    {
        $protocols = Protocols::standard();
        $sent = 0;
        foreach ((array) glob(self::FOLDER.'/*.toml') as $path) {
            foreach (KeymapFile::read((string) file_get_contents((string) $path)) as $keymap) {
                foreach ($keymap->keys as ['number' => $number, 'name' => $name]) {
                    $code = self::code($keymap, $number, $name);
                    $signal = IrCodes::signal($code, $protocols);
                    if ($signal === null) {
                        self::assertSame('named', $code->protocol);

                        continue;
                    }
                    $said = $code->format === null ? $protocols->decode($signal)?->command : PulseFormat::tryParse($code->format)?->decode($signal);
                    // 32 bits whose halves happen to be complements are the shorter protocol in disguise.
                    self::assertTrue($said === $code->command || ($code->protocol === 'nec32' && $said === ($code->command & 0xFF)), "{$name} 0x".dechex($number));
                    $sent++;
                }
            }
        }
        self::assertGreaterThan(2400, $sent);
    }

    public function test_codes_come_back_as_the_numbers_they_were_read_from(): void
    {
        foreach ((array) glob(self::FOLDER.'/*.toml') as $path) {
            foreach (KeymapFile::read((string) file_get_contents((string) $path)) as $keymap) {
                $codes = array_map(static fn (array $key): KeyCode => self::code($keymap, $key['number'], $key['name']), $keymap->keys);
                $numbers = [];
                foreach (KeymapCodes::keymaps('again', $codes) as $again) {
                    $numbers = [...$numbers, ...array_column($again->keys, 'number')];
                }
                self::assertEqualsCanonicalizing(array_column($keymap->keys, 'number'), $numbers, basename((string) $path));
            }
        }
    }

    /** @return iterable<string, array{string, string}> */
    public static function broken(): iterable
    {
        yield 'nothing' => ['', 'no [[protocols]]'];
        yield 'no TOML at all' => ["pulse 9000\nspace 4500\n", 'Line 1 is neither a table nor'];
        yield 'a string that does not end' => ["[[protocols]]\nname = \"x\n", 'Line 2'];
        yield 'no protocol' => ["[[protocols]]\nname = \"x\"\n", 'does not say which protocol'];
        yield 'a scancode that is no number' => ["[[protocols]]\nprotocol = \"nec\"\n[protocols.scancodes]\nabc = \"KEY_A\"\n", 'no scancode'];
        yield 'a key twice' => ["[[protocols]]\nprotocol = \"nec\"\n[protocols.scancodes]\n0x1 = \"A\"\n0x1 = \"B\"\n", 'Line 5 sets "0x1" again'];
        yield 'a table over a value' => ["a = 1\n[a.b]\n", 'Line 2 opens "a"'];
        yield 'a megabyte and more' => [str_repeat('#', 1_000_001), 'larger than'];
        yield 'deep brackets' => ['a = '.str_repeat('[', 100_000), 'Line 1'];
    }

    #[DataProvider('broken')]
    public function test_a_broken_keymap_is_refused_with_its_place(string $text, string $message): void
    {
        $this->expectException(KeymapRefused::class);
        $this->expectExceptionMessage($message);
        KeymapFile::read($text);
    }

    private static function code(Keymap $keymap, int $number, string $name): KeyCode
    {
        $fields = KeymapCodes::fields($keymap, $number);

        return new KeyCode('01ARZ3NDEKTSV4RRFFQ69G5FAV', '01ARZ3NDEKTSV4RRFFQ69G5FAW', $name, $fields['protocol'], $fields['address'], $fields['command'], $fields['number'], null, '', $fields['format']);
    }
}
