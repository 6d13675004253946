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
        $data = substr($bytes, $at + 1);
        $header = ($first & 0x40) === 0 ? 0 : ord($data[0] ?? "\0") + 1;
        $text = strlen($bytes) > $at ? self::text($data, $length, $coding, $header) : null;

        return $text === null ? null : ['to' => ($international ? '+' : '').$number, 'text' => $text];
    }

    /**
     * @param  int  $length  of the header and the text: septets in the seven-bit alphabet, otherwise bytes
     * @param  int  $header  bytes that stand before the text
     * @return string|null null when it is cut off
     */
    private static function text(string $data, int $length, int $coding, int $header): ?string
    {
        $alphabet = $coding & 0x0C;
        // In septets a header is filled up to a whole one.
        $skipped = $alphabet === 0x00 ? intdiv($header * 8 + 6, 7) : $header;
        if (strlen($data) < ($alphabet === 0x00 ? intdiv($length * 7 + 7, 8) : $length) || $skipped > $length) {
            return null;
        }

        return match ($alphabet) {
            0x00 => Gsm7::unpack($data, $length, $skipped),
            0x08 => mb_convert_encoding(substr($data, $skipped, $length - $skipped), 'UTF-8', 'UTF-16BE'),
            default => substr($data, $skipped, $length - $skipped),
        };
    }

    /** Digits, the second of each byte first. */
    private static function swapped(string $bytes): string
    {
        return implode('', array_map(static fn (string $byte): string => strrev(sprintf('%02X', ord($byte))), str_split($bytes)));
    }
}
