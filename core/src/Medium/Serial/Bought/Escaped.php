<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

/** Signs that cannot be typed: \r, \n, \t, \e, \0, \x and two hexadecimal digits, and \\ for the stroke itself. */
final readonly class Escaped
{
    public static function bytes(string $text): string
    {
        return (string) preg_replace_callback('/\\\\(x[0-9a-fA-F]{2}|.)/s', static fn (array $match): string => match ($match[1]) {
            'r' => "\r",
            'n' => "\n",
            't' => "\t",
            'e' => "\x1b",
            '0' => "\0",
            default => strlen($match[1]) === 3 && $match[1][0] === 'x' ? chr((int) hexdec(substr($match[1], 1))) : $match[1],
        }, $text);
    }

    /** The names that ISO 646 gives to signs that cannot be seen. */
    private const NAMES = ["\0" => 'NUL', "\x02" => 'STX', "\x03" => 'ETX', "\x04" => 'EOT', "\x06" => 'ACK', "\t" => 'TAB', "\n" => 'LF', "\r" => 'CR', "\x15" => 'NAK', "\x1b" => 'ESC'];

    /** @return string as a person reads bytes: what cannot be seen by its name in angle brackets, or by its number */
    public static function shown(string $bytes): string
    {
        return implode('', array_map(static fn (string $byte): string => match (true) {
            isset(self::NAMES[$byte]) => '<'.self::NAMES[$byte].'>',
            $byte >= ' ' && $byte <= '~' => $byte,
            default => sprintf('<0x%02X>', ord($byte)),
        }, $bytes === '' ? [] : str_split($bytes)));
    }
}
