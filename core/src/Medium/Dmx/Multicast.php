<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

/** Where the packets of a universe go on a network. Source: ANSI E1.31, 9.3. */
final readonly class Multicast
{
    public const PORT = 5_568;

    public const MOST_UNIVERSE = 63_999;

    public static function address(int $universe): string
    {
        return '239.255.'.($universe >> 8).'.'.($universe & 0xFF);
    }
}
