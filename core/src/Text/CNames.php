<?php

declare(strict_types=1);

namespace Rundfunk\Text;

/** Names as C allows them. */
final readonly class CNames
{
    /** Keywords of C99 that a lower-case name could hit. */
    private const KEYWORDS = ['auto', 'break', 'case', 'char', 'const', 'continue', 'default', 'do', 'double', 'else', 'enum', 'extern', 'float', 'for', 'goto', 'if', 'inline', 'int', 'long', 'register', 'restrict', 'return', 'short', 'signed', 'sizeof', 'static', 'struct', 'switch', 'typedef', 'union', 'unsigned', 'void', 'volatile', 'while'];

    /** @return string "PUMP_HOUSE" */
    public static function upper(string $name): string
    {
        // "Speed -3" and "Speed 3" are two things.
        $name = (string) preg_replace('/(?<![^\s])[-−](?=\d)/u', 'minus ', $name);
        // Setting the transliterator up is dear, and most names need none.
        $ascii = preg_match('/[^\x00-\x7F]/', $name) === 1 ? transliterator_transliterate('Any-Latin; Latin-ASCII', $name) : $name;
        $words = trim((string) preg_replace('/[^A-Za-z0-9]+/', '_', is_string($ascii) ? $ascii : $name), '_');
        $upper = strtoupper($words === '' ? 'X' : $words);

        return ctype_digit($upper[0]) ? 'N'.$upper : $upper;
    }

    /** @return string "pump_house" */
    public static function lower(string $name): string
    {
        $lower = strtolower(self::upper($name));

        return in_array($lower, self::KEYWORDS, true) ? $lower.'_' : $lower;
    }

    /** A string literal: plain ASCII as it is, everything else as octal, which cannot run into what follows. */
    public static function text(string $text): string
    {
        $escaped = (string) preg_replace_callback('/[^ !#-;A-[\]-~=<>@]/', static fn (array $match): string => sprintf('\\%03o', ord($match[0])), $text);

        return '"'.$escaped.'"';
    }

    /** Text that cannot end a comment, splice a line or start a trigraph. */
    public static function comment(string $text): string
    {
        // First the backslashes, for one that becomes a stroke may come to stand behind a star; then every pair, overlapping ones too.
        $strokes = str_replace('\\', '/', OneLine::of($text));

        return (string) preg_replace('~\*(?=/)|/(?=\*)|\?(?=\?)~', '$0 ', $strokes);
    }
}
