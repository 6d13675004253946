<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

/** What constants of a header take of an 8-bit board's memory: there they are copied to where variables are, with every text that they point to. */
final readonly class CConstants
{
    private const SIZES = ['uint8_t' => 1, 'int8_t' => 1, 'uint16_t' => 2, 'int16_t' => 2, 'uint32_t' => 4, 'int32_t' => 4];

    /** A pointer of an 8-bit board. */
    private const POINTER = 2;

    /**
     * @param  list<string>  $lines  of C as this program writes it: structs with a field a line, tables with a row a line or numbers with commas between
     * @return int bytes
     */
    public static function bytesIn(array $lines): int
    {
        $text = (string) preg_replace('~/\*.*?\*/~s', '', implode("\n", $lines));
        $bytes = 0;
        $texts = [];
        preg_match_all('/static const (struct )?(\w+) (\*const )?(\w+)\[\w*\] = \{(.*?)\n?\};/s', $text, $tables, PREG_SET_ORDER);
        foreach ($tables as [, $struct, $type, $pointer, , $body]) {
            preg_match_all('/"(?:[^"\\\\]|\\\\.)*"/', $body, $strings);
            foreach ($strings[0] as $string) {
                $texts[stripcslashes(substr($string, 1, -1))] = true;
            }
            $plain = (string) preg_replace('/"(?:[^"\\\\]|\\\\.)*"/', '0', $body);
            $bytes += match (true) {
                $struct !== '' => substr_count($plain, '{') * self::ofStruct($text, $type),
                $pointer !== '' => self::POINTER * count($strings[0]),
                default => (self::SIZES[$type] ?? 1) * count(array_filter(explode(',', $plain), static fn (string $one): bool => trim($one) !== '')),
            };
        }
        // The compiler keeps a text once, however often it is pointed to.
        foreach (array_keys($texts) as $one) {
            $bytes += strlen($one) + 1;
        }

        return $bytes;
    }

    private static function ofStruct(string $text, string $name): int
    {
        if (preg_match('/struct '.$name.' \{(.*?)\n\};/s', $text, $found) !== 1) {
            return 0;
        }
        $bytes = 0;
        foreach (explode(';', $found[1]) as $field) {
            $bytes += match (true) {
                trim($field) === '' => 0,
                str_contains($field, '*') => self::POINTER,
                default => self::SIZES[explode(' ', trim($field))[0]] ?? 1,
            };
        }

        return $bytes;
    }
}
