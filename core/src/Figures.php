<?php

declare(strict_types=1);

namespace Rundfunk;

/** Numbers as people read them. */
final readonly class Figures
{
    /** Three significant figures, without trailing noughts. */
    public static function significant(float $value): string
    {
        if ($value === 0.0) {
            return '0';
        }
        $decimals = max(0, 2 - (int) floor(log10(abs($value))));
        $text = number_format(round($value, $decimals), $decimals, '.', '');

        return str_contains($text, '.') ? rtrim(rtrim($text, '0'), '.') : $text;
    }

    /** @return string "470 Ω", "1.2 kΩ", "1 MΩ" */
    public static function ohms(float $ohms): string
    {
        return match (true) {
            $ohms < 1_000 => self::significant($ohms).' Ω',
            $ohms < 1_000_000 => self::significant($ohms / 1_000).' kΩ',
            default => self::significant($ohms / 1_000_000).' MΩ',
        };
    }

    /** @return string "1 key", "4 keys", "2 boxes" */
    public static function counted(int $count, string $what): string
    {
        return "{$count} {$what}".($count === 1 ? '' : (preg_match('/(?:[sx]|ch|sh)$/', $what) === 1 ? 'es' : 's'));
    }

    /** @return string "548 µs", "1.10 ms", "1.24 s" */
    public static function duration(int $nanoseconds): string
    {
        return match (true) {
            $nanoseconds < 1_000_000 => self::significant($nanoseconds / 1_000).' µs',
            $nanoseconds < 1_000_000_000 => self::significant($nanoseconds / 1_000_000).' ms',
            default => self::significant($nanoseconds / 1_000_000_000).' s',
        };
    }
}
