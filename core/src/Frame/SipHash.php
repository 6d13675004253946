<?php

declare(strict_types=1);

namespace Rundfunk\Frame;

/**
 * SipHash-2-4: a keyed hash for short messages, small enough for an 8-bit board.
 *
 * Source: J.-P. Aumasson, D. J. Bernstein, "SipHash: a fast short-input PRF", 2012.
 */
final readonly class SipHash
{
    public const KEY_BYTES = 16;

    private const WORD = 0xFFFF_FFFF;

    /**
     * @param  string  $key  16 bytes
     * @return string 8 bytes, the least significant first
     *
     * @throws FrameFault when the key is not 16 bytes long
     */
    public static function of(string $key, string $message): string
    {
        if (strlen($key) !== self::KEY_BYTES) {
            throw FrameFault::keyLength(strlen($key));
        }
        [$k0, $k1] = [self::word($key), self::word(substr($key, 8))];
        // "somepseudorandomlygeneratedbytes"
        $v = [$k0 ^ 0x736F_6D65_7073_6575, $k1 ^ 0x646F_7261_6E64_6F6D, $k0 ^ 0x6C79_6765_6E65_7261, $k1 ^ 0x7465_6462_7974_6573];
        $whole = intdiv(strlen($message), 8) * 8;
        $words = $whole === 0 ? [] : str_split(substr($message, 0, $whole), 8);
        $words[] = str_pad(substr($message, $whole), 7, "\0").chr(strlen($message) & 0xFF);
        foreach ($words as $bytes) {
            $word = self::word($bytes);
            $v[3] ^= $word;
            $v = self::round(self::round($v));
            $v[0] ^= $word;
        }
        $v[2] ^= 0xFF;
        $v = self::round(self::round(self::round(self::round($v))));

        return pack('P', $v[0] ^ $v[1] ^ $v[2] ^ $v[3]);
    }

    /**
     * @param  array{int, int, int, int}  $v
     * @return array{int, int, int, int}
     */
    private static function round(array $v): array
    {
        [$a, $b, $c, $d] = $v;
        $a = self::sum($a, $b);
        $b = self::turned($b, 13) ^ $a;
        $a = self::turned($a, 32);
        $c = self::sum($c, $d);
        $d = self::turned($d, 16) ^ $c;
        $a = self::sum($a, $d);
        $d = self::turned($d, 21) ^ $a;
        $c = self::sum($c, $b);
        $b = self::turned($b, 17) ^ $c;

        return [$a, $b, self::turned($c, 32), $d];
    }

    private static function word(string $bytes): int
    {
        $words = unpack('P', $bytes);

        return is_array($words) && is_int($words[1] ?? null) ? $words[1] : 0;
    }

    /** Modulo 2⁶⁴: PHP's own sum would become a floating-point number. */
    private static function sum(int $a, int $b): int
    {
        $low = ($a & self::WORD) + ($b & self::WORD);
        $high = ($a >> 32 & self::WORD) + ($b >> 32 & self::WORD) + ($low >> 32);

        return ($high & self::WORD) << 32 | $low & self::WORD;
    }

    private static function turned(int $word, int $by): int
    {
        return $word << $by | $word >> 64 - $by & (1 << $by) - 1;
    }
}
