<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

use Rundfunk\OutOfRange;

/** Hexadecimal, as people who listen to a bus write it: with 0x or without, bytes with blanks or without. */
final readonly class HexText
{
    /** @throws OutOfRange */
    public static function number(string $field, string $text): int
    {
        $digits = preg_replace('/^0x/i', '', trim($text)) ?? '';
        if (preg_match('/^[0-9a-f]{1,8}$/i', $digits) !== 1) {
            throw OutOfRange::because($field, "\u{201C}".mb_strimwidth($text, 0, 20, '…')."\u{201D} is no hexadecimal number of up to eight digits.");
        }

        return (int) hexdec($digits);
    }

    /** @throws OutOfRange */
    public static function bytes(string $field, string $text): string
    {
        $digits = preg_replace('/0x|[\s,:.-]+/i', '', $text) ?? '';
        if (preg_match('/^([0-9a-f]{2})*$/i', $digits) !== 1) {
            throw OutOfRange::because($field, "\u{201C}".mb_strimwidth($text, 0, 40, '…')."\u{201D} is no row of hexadecimal bytes.");
        }

        return (string) hex2bin($digits);
    }
}
