<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Sms;

/** How long a text is on the air: in which alphabet, in how many units, in how many parts. Source: 3GPP TS 23.038 and 23.040. */
final readonly class TextLength
{
    private function __construct(public string $encoding, public int $units, public int $parts)
    {
    }

    public static function of(string $text): self
    {
        $characters = Gsm7::characters($text);
        if ($characters !== null) {
            return self::counted('gsm7', array_map(count(...), $characters), 160, 153);
        }
        $units = array_map(static fn (string $character): int => mb_ord($character) > 0xFFFF ? 2 : 1, mb_str_split($text));

        return self::counted('ucs2', $units, 70, 67);
    }

    /**
     * A character of two units is never split between parts.
     *
     * @param  list<int>  $sizes  units of each character
     */
    private static function counted(string $encoding, array $sizes, int $single, int $perPart): self
    {
        $units = array_sum($sizes);
        if ($units <= $single) {
            return new self($encoding, $units, 1);
        }
        $parts = 1;
        $inPart = 0;
        foreach ($sizes as $size) {
            if ($inPart + $size > $perPart) {
                $parts++;
                $inPart = 0;
            }
            $inPart += $size;
        }

        return new self($encoding, $units, $parts);
    }
}
