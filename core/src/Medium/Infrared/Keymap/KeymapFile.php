<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Keymap;

use Rundfunk\Exchange\Toml;
use Rundfunk\Exchange\TomlRefused;
use Rundfunk\Text\OneLine;

/** Reads and writes the open TOML keymaps of the Linux remote-control core: [[protocols]] with [protocols.scancodes]. */
final readonly class KeymapFile
{
    private const LARGEST = 1_000_000;

    private const KNOWN = ['name', 'protocol', 'variant', 'scancodes'];

    /**
     * @return non-empty-list<Keymap>
     *
     * @throws KeymapRefused
     */
    public static function read(string $text): array
    {
        if (strlen($text) > self::LARGEST) {
            throw KeymapRefused::tooLarge();
        }
        try {
            $document = Toml::read($text);
        } catch (TomlRefused $refused) {
            throw KeymapRefused::because($refused->getMessage());
        }
        $protocols = $document['protocols'] ?? null;
        $keymaps = [];
        foreach (is_array($protocols) ? $protocols : [] as $raw) {
            if (is_array($raw)) {
                $keymaps[] = self::keymap($raw);
            }
        }

        return $keymaps === [] ? throw KeymapRefused::noProtocols() : $keymaps;
    }

    /** @param  list<Keymap>  $keymaps */
    public static function write(array $keymaps): string
    {
        $blocks = [];
        foreach ($keymaps as $keymap) {
            $lines = ['[[protocols]]', 'name = '.Toml::quote($keymap->name), 'protocol = '.Toml::quote($keymap->protocol)];
            if ($keymap->variant !== null) {
                $lines[] = 'variant = '.Toml::quote($keymap->variant);
            }
            foreach ($keymap->parameters as $name => $value) {
                $lines[] = "{$name} = ".match (true) {
                    is_bool($value) => $value ? 'true' : 'false',
                    is_string($value) => Toml::quote($value),
                    default => (string) $value,
                };
            }
            $lines[] = '[protocols.scancodes]';
            $named = [];
            foreach ($keymap->keys as ['number' => $number, 'name' => $name]) {
                // A table of codes has one name for each; a reader refuses a file that sets one again.
                $lines[] = isset($named[$number]) ? sprintf('# 0x%02x is %s too', $number, OneLine::of($name)) : sprintf('0x%02x = %s', $number, Toml::quote($name));
                $named[$number] = true;
            }
            $blocks[] = implode("\n", $lines)."\n";
        }

        return implode("\n", $blocks);
    }

    /** @param  array<array-key, mixed>  $raw */
    private static function keymap(array $raw): Keymap
    {
        $protocol = $raw['protocol'] ?? null;
        if (! is_string($protocol) || $protocol === '') {
            throw KeymapRefused::because('A [[protocols]] table does not say which protocol it is.');
        }
        $keys = [];
        $scancodes = $raw['scancodes'] ?? [];
        foreach (is_array($scancodes) ? $scancodes : [] as $number => $name) {
            $text = (string) $number;
            $value = preg_match('/^0x[0-9A-Fa-f]{1,8}$/D', $text) === 1 ? (int) hexdec(substr($text, 2)) : (ctype_digit($text) ? (int) $text : null);
            if ($value === null || ! is_string($name)) {
                throw KeymapRefused::because('"'.mb_substr($text, 0, 30).'" is no scancode with the name of a key.');
            }
            $keys[] = ['number' => $value, 'name' => $name];
        }
        $parameters = [];
        foreach (array_diff_key($raw, array_flip(self::KNOWN)) as $name => $value) {
            if (is_scalar($value)) {
                $parameters[(string) $name] = $value;
            }
        }

        return new Keymap(
            is_string($raw['name'] ?? null) ? $raw['name'] : $protocol,
            $protocol,
            is_string($raw['variant'] ?? null) ? $raw['variant'] : null,
            $parameters,
            $keys,
        );
    }
}
