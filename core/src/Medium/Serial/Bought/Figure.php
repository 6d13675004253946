<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

use Rundfunk\Plan\ProtocolValue;

/** A figure of the plan as the number that goes over the line, and back. */
final readonly class Figure
{
    /** A reading counts no further, in thousandths: what no sensor reads, and 32 bits hold it. */
    private const MOST = 1_000_000_000;

    /** @return int the number on the line, rounded, a half away from nothing; what the device does not take is brought to what it takes */
    public static function wire(ProtocolValue $value, int $figure): int
    {
        $kept = max($value->lowest ?? PHP_INT_MIN, min($value->highest ?? PHP_INT_MAX, $figure));

        return self::divided($kept * $value->times, $value->divided);
    }

    /** @return int thousandths of the plan's unit */
    public static function thousandths(ProtocolValue $value, int $wire): int
    {
        return max(-self::MOST, min(self::MOST, self::divided($wire * 1_000 * $value->divided, $value->times)));
    }

    /** @return int the number that a text says, 0x before a hexadecimal one; 0 for what is none */
    public static function number(string $text): int
    {
        $plain = trim($text);

        return match (true) {
            preg_match('/^0x[0-9a-f]{1,8}$/iD', $plain) === 1 => (int) hexdec(substr($plain, 2)),
            preg_match('/^-?\d{1,10}$/D', $plain) === 1 => (int) $plain,
            default => 0,
        };
    }

    public static function isNumber(string $text): bool
    {
        return preg_match('/^(0x[0-9a-f]{1,8}|-?\d{1,10})$/iD', trim($text)) === 1;
    }

    private static function divided(int $dividend, int $divisor): int
    {
        $half = intdiv($divisor, 2);

        return intdiv($dividend < 0 ? $dividend - $half : $dividend + $half, $divisor);
    }
}
