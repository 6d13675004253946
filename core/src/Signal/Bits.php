<?php

declare(strict_types=1);

namespace Rundfunk\Signal;

/** Numbers as the bits of a frame. */
final readonly class Bits
{
    /** @return list<int> least significant first */
    public static function low(int $value, int $count): array
    {
        $bits = [];
        for ($bit = 0; $bit < $count; $bit++) {
            $bits[] = ($value >> $bit) & 1;
        }

        return $bits;
    }

    /** @return list<int> most significant first */
    public static function high(int $value, int $count): array
    {
        return array_reverse(self::low($value, $count));
    }

    /** @param  list<int>  $bits least significant first */
    public static function fromLow(array $bits): int
    {
        $value = 0;
        foreach ($bits as $place => $bit) {
            $value |= $bit << $place;
        }

        return $value;
    }

    /** @param  list<int>  $bits most significant first */
    public static function fromHigh(array $bits): int
    {
        return self::fromLow(array_reverse($bits));
    }
}
