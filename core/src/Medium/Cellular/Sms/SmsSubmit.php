<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Sms;

/** A text on its way to the network, as bytes. Source: 3GPP TS 23.040, SMS-SUBMIT. */
final readonly class SmsSubmit
{
    /**
     * @param  string  $hex  the service centre's address and the message, as AT+CMGS takes them in PDU mode
     * @return array{to: string, text: string}|null null when it is none
     */
    public static function read(string $hex): ?array
    {
        $bytes = preg_match('/^([0-9A-Fa-f]{2})+$/D', $hex) === 1 ? (string) hex2bin($hex) : '';
        $at = 1 + ord($bytes[0] ?? "\0");
        $first = ord($bytes[$at] ?? "\0");
        if (strlen($bytes) < $at + 7 || ($first & 0x03) !== 0x01) {
            return null;
        }
        $digits = ord($bytes[$at + 2]);
        $international = (ord($bytes[$at + 3]) & 0x70) === 0x10;
        $number = substr(self::swapped(substr($bytes, $at + 4, intdiv($digits + 1, 2))), 0, $digits);
        $at += 4 + intdiv($digits + 1, 2);
        $coding = ord($bytes[$at + 1] ?? "\0");
        $at += 2 + match ($first & 0x18) {
            0x00 => 0,
            0x10 => 1,
            default => 7,
        };
        $length = ord($bytes[$at] ?? "\0");
        $text = self::text(substr($bytes, $at + 1), $length, $coding, ($first & 0x40) !== 0);

        return $text === null ? null : ['to' => ($international ? '+' : '').$number, 'text' => $text];
    }

    private static function text(string $data, int $length, int $coding, bool $hasHeader): ?string
    {
        $headerBytes = $hasHeader ? ord($data[0] ?? "\0") + 1 : 0;
        if (($coding & 0x0C) === 0x08) {
            return mb_convert_encoding(substr($data, $headerBytes, $length - $headerBytes), 'UTF-8', 'UTF-16BE');
        }
        if (($coding & 0x0C) === 0x04) {
            return substr($data, $headerBytes, $length - $headerBytes);
        }
        if (strlen($data) < intdiv($length * 7 + 7, 8)) {
            return null;
        }
        // A header is filled up to whole septets.
        $skipped = intdiv($headerBytes * 8 + 6, 7);

        return mb_substr(Gsm7::unpack($data, $length), $skipped);
    }

    /** Digits, the second of each byte first. */
    private static function swapped(string $bytes): string
    {
        return implode('', array_map(static fn (string $byte): string => strrev(sprintf('%02X', ord($byte))), str_split($bytes)));
    }
}
