<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Line;

/** Numbers of messages: 1 to 255 and again; 0 is where both begin. */
final readonly class Sequence
{
    public static function after(int $number): int
    {
        return $number % 255 + 1;
    }
}
