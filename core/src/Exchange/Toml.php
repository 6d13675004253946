<?php

declare(strict_types=1);

namespace Rundfunk\Exchange;

/**
 * Enough of TOML 1.0 for keymaps and other flat files: tables, arrays of tables, bare and quoted keys, strings, whole
 * numbers of every base, floats, flags and lists on one line. No library for it is to be had where this is installed.
 */
final class Toml
{
    private const DEEPEST = 16;

    private int $line = 0;

    private int $depth = 0;

    /** @var array<string, true> tables that were opened, by their way from the top */
    private array $opened = [];

    /** @param  list<string>  $lines */
    private function __construct(private readonly array $lines)
    {
    }

    /**
     * @return array<string, mixed>
     *
     * @throws TomlRefused
     */
    public static function read(string $text): array
    {
        $lines = preg_split('/\R/', $text);

        return (new self($lines === false ? [] : $lines))->document();
    }

    /** A text as a basic string. */
    public static function quote(string $text): string
    {
        $escaped = (string) preg_replace_callback(
            '/["\\\\\x00-\x1F\x7F]/',
            static fn (array $match): string => match ($match[0]) {
                '"' => '\\"',
                '\\' => '\\\\',
                default => sprintf('\\u%04X', ord($match[0])),
            },
            $text,
        );

        return '"'.$escaped.'"';
    }

    /** @return array<string, mixed> */
    private function document(): array
    {
        $document = [];
        $at = &$document;
        foreach ($this->lines as $index => $raw) {
            $this->line = $index + 1;
            if (! mb_check_encoding($raw, 'UTF-8')) {
                throw TomlRefused::at($this->line, 'is no text in UTF-8');
            }
            $line = trim($raw);
            if ($line === '' || $line[0] === '#') {
                continue;
            }
            if (preg_match('/^\[\[\s*([^\[\]]+?)\s*\]\]\s*(#.*)?$/D', $line, $match) === 1) {
                unset($at);
                $at = &$this->open($document, $this->path($match[1]), true);
            } elseif (preg_match('/^\[\s*([^\[\]]+?)\s*\]\s*(#.*)?$/D', $line, $match) === 1) {
                unset($at);
                $at = &$this->open($document, $this->path($match[1]), false);
            } else {
                [$key, $rest] = $this->key($line);
                if (array_key_exists($key, $at)) {
                    throw TomlRefused::at($this->line, "sets \"{$key}\" again");
                }
                $at[$key] = $this->wholeValue($rest);
            }
        }

        return $document;
    }

    /**
     * @param  array<string, mixed>  $document
     * @param  non-empty-list<string>  $path
     * @return array<string, mixed>
     */
    private function &open(array &$document, array $path, bool $append): array
    {
        $at = &$document;
        $last = count($path) - 1;
        $way = '';
        foreach ($path as $depth => $name) {
            if (! isset($at[$name])) {
                $at[$name] = [];
            }
            if (! is_array($at[$name])) {
                throw TomlRefused::at($this->line, "opens \"{$name}\", which is a value already");
            }
            $at = &$at[$name];
            if ($depth === $last && $append) {
                $at[] = [];
            }
            $way .= "\n{$name}";
            if ($at !== [] && array_is_list($at)) {
                $way .= "\n".count($at);
                $at = &$at[count($at) - 1];
            }
            if (! is_array($at)) {
                throw TomlRefused::at($this->line, "opens \"{$name}\", which is a value already");
            }
        }

        if (! $append && isset($this->opened[$way])) {
            throw TomlRefused::at($this->line, "opens \"{$path[$last]}\" again");
        }
        $this->opened[$way] = true;

        /** @var array<string, mixed> $at */
        return $at;
    }

    /** @return non-empty-list<string> */
    private function path(string $text): array
    {
        $path = [];
        foreach (explode('.', $text) as $part) {
            $part = trim($part);
            if (preg_match('/^(?:([A-Za-z0-9_-]+)|"([^"\\\\]*)"|\'([^\']*)\')$/D', $part, $match) !== 1) {
                throw TomlRefused::at($this->line, 'names a table in a way that is not understood');
            }
            $path[] = $match[3] ?? $match[2] ?? $match[1];
        }

        return $path;
    }

    /** @return array{string, string} the key, and what stands behind the equals sign */
    private function key(string $line): array
    {
        if (preg_match('/^(?:([A-Za-z0-9_-]+)|"([^"\\\\]*)"|\'([^\']*)\')\s*=\s*(.+)$/Ds', $line, $match) !== 1) {
            throw TomlRefused::at($this->line, 'is neither a table nor "key = value"');
        }
        $key = $match[1] !== '' ? $match[1] : ($match[2] !== '' ? $match[2] : $match[3]);

        return [$key, $match[4]];
    }

    private function wholeValue(string $text): mixed
    {
        [$value, $rest] = $this->value($text);
        if ($rest !== '' && $rest[0] !== '#') {
            throw TomlRefused::at($this->line, 'has something behind its value');
        }

        return $value;
    }

    /** @return array{mixed, string} the value, and what stands behind it */
    private function value(string $text): array
    {
        if ($text !== '' && $text[0] === '[') {
            return $this->list($text);
        }
        if (preg_match('/^"((?:[^"\\\\]|\\\\.)*)"\s*/', $text, $match) === 1) {
            return [$this->unescaped($match[1]), substr($text, strlen($match[0]))];
        }
        if (preg_match("/^'([^']*)'\s*/", $text, $match) === 1) {
            return [$match[1], substr($text, strlen($match[0]))];
        }
        if (preg_match('/^([^\s,\]#]+)\s*/', $text, $match) === 1) {
            return [$this->bare($match[1]), substr($text, strlen($match[0]))];
        }
        throw TomlRefused::at($this->line, 'has no value');
    }

    /** @return array{list<mixed>, string} */
    private function list(string $text): array
    {
        if (++$this->depth > self::DEEPEST) {
            throw TomlRefused::at($this->line, 'nests lists deeper than any file of use');
        }
        $rest = ltrim(substr($text, 1));
        $items = [];
        while ($rest !== '' && $rest[0] !== ']') {
            [$items[], $rest] = $this->value($rest);
            $rest = ltrim($rest);
            if ($rest !== '' && $rest[0] === ',') {
                $rest = ltrim(substr($rest, 1));
            } elseif ($rest === '' || $rest[0] !== ']') {
                throw TomlRefused::at($this->line, 'has a list that does not end on its line');
            }
        }
        if ($rest === '') {
            throw TomlRefused::at($this->line, 'has a list that does not end on its line');
        }

        $this->depth--;

        return [$items, ltrim(substr($rest, 1))];
    }

    private function bare(string $word): bool|float|int
    {
        $digits = str_replace('_', '', $word);

        return match (true) {
            $word === 'true' => true,
            $word === 'false' => false,
            preg_match('/^0x[0-9A-Fa-f]{1,15}$/D', $digits) === 1 => (int) hexdec(substr($digits, 2)),
            preg_match('/^0b[01]{1,60}$/D', $digits) === 1 => (int) bindec(substr($digits, 2)),
            preg_match('/^0o[0-7]{1,20}$/D', $digits) === 1 => (int) octdec(substr($digits, 2)),
            preg_match('/^[+-]?\d{1,18}$/D', $digits) === 1 => (int) $digits,
            preg_match('/^[+-]?\d+(\.\d+)?([eE][+-]?\d+)?$/D', $digits) === 1 => (float) $digits,
            default => throw TomlRefused::at($this->line, 'has a value that is not understood: "'.mb_substr(mb_scrub($word), 0, 30).'"'),
        };
    }

    private function sign(string $hexadecimal): string
    {
        $number = (int) hexdec($hexadecimal);
        $half = $number >= 0xD800 && $number <= 0xDFFF;

        return $half || $number > 0x10FFFF ? throw TomlRefused::at($this->line, "names a sign that there is not: U+{$hexadecimal}") : mb_chr($number);
    }

    private function unescaped(string $text): string
    {
        return (string) preg_replace_callback('/\\\\(u[0-9A-Fa-f]{4}|U[0-9A-Fa-f]{8}|.)/s', fn (array $match): string => match ($match[1][0]) {
            'n' => "\n",
            't' => "\t",
            'r' => "\r",
            'b' => "\x08",
            'f' => "\f",
            '"', '\\' => $match[1],
            'u', 'U' => $this->sign(substr($match[1], 1)),
            default => throw TomlRefused::at($this->line, "has an escape that is not understood: \\{$match[1]}"),
        }, $text);
    }
}
