<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Sms;

/** The seven-bit alphabet of texts and its packing. Source: 3GPP TS 23.038. */
final readonly class Gsm7
{
    private const ESCAPE = 0x1B;

    /** By code, from 0x00 on; the place of the escape is held by a character that no text has. */
    private const BASIC = "@£\$¥èéùìòÇ\nØø\rÅåΔ_ΦΓΛΩΠΨΣΘΞ\u{FFFF}ÆæßÉ !\"#¤%&'()*+,-./0123456789:;<=>?¡ABCDEFGHIJKLMNOPQRSTUVWXYZÄÖÑÜ§¿abcdefghijklmnopqrstuvwxyzäöñüà";

    /** Those that take two, after the escape. */
    private const EXTENDED = ["\f" => 0x0A, '^' => 0x14, '{' => 0x28, '}' => 0x29, '\\' => 0x2F, '[' => 0x3C, '~' => 0x3D, ']' => 0x3E, '|' => 0x40, '€' => 0x65];

    /** @return list<list<int>>|null a list of one or two septets for each character; null when a character is not in the alphabet */
    public static function characters(string $text): ?array
    {
        $basic = self::basic();
        $characters = [];
        foreach (mb_str_split($text) as $character) {
            if (isset($basic[$character])) {
                $characters[] = [$basic[$character]];
            } elseif (isset(self::EXTENDED[$character])) {
                $characters[] = [self::ESCAPE, self::EXTENDED[$character]];
            } else {
                return null;
            }
        }

        return $characters;
    }

    /** @return list<int>|null */
    public static function septets(string $text): ?array
    {
        $characters = self::characters($text);

        return $characters === null ? null : array_merge(...$characters);
    }

    /**
     * @param  list<int>  $septets
     * @return string bytes, the first septet in the lowest bits of the first
     */
    public static function pack(array $septets): string
    {
        $bytes = '';
        $held = 0;
        $bits = 0;
        foreach ($septets as $septet) {
            $held |= $septet << $bits;
            $bits += 7;
            while ($bits >= 8) {
                $bytes .= chr($held & 0xFF);
                $held >>= 8;
                $bits -= 8;
            }
        }

        return $bits > 0 ? $bytes.chr($held & 0xFF) : $bytes;
    }

    /**
     * @param  int  $count  how many septets the bytes hold
     * @param  int  $header  how many of them stand before the text
     */
    public static function unpack(string $bytes, int $count, int $header = 0): string
    {
        $held = 0;
        $bits = 0;
        $septets = [];
        foreach (str_split($bytes) as $byte) {
            $held |= ord($byte) << $bits;
            $bits += 8;
            while ($bits >= 7 && count($septets) < $count) {
                $septets[] = $held & 0x7F;
                $held >>= 7;
                $bits -= 7;
            }
        }

        return self::text(array_slice($septets, $header));
    }

    /** @param  list<int>  $septets */
    public static function text(array $septets): string
    {
        $basic = array_flip(self::basic());
        $extended = array_flip(self::EXTENDED);
        $text = '';
        $escaped = false;
        foreach ($septets as $septet) {
            if ($septet === self::ESCAPE) {
                $escaped = true;

                continue;
            }
            $text .= $escaped ? $extended[$septet] ?? ' ' : $basic[$septet] ?? ' ';
            $escaped = false;
        }

        return $text;
    }

    /** @return array<array-key, int> code by character */
    private static function basic(): array
    {
        static $basic = null;
        /** @var array<array-key, int>|null $basic */
        if ($basic === null) {
            $basic = array_flip(mb_str_split(self::BASIC));
            unset($basic["\u{FFFF}"]);
        }

        return $basic;
    }
}
