<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

/** What constants of a header take of an 8-bit board's memory: there they are copied to where variables are, with every text that they point to. */
final readonly class CConstants
{
    /** Bytes of a pointer on an 8-bit board. */
    public const POINTER = 2;

    /**
     * @param  int  $tables  bytes of all rows, pointers among them
     * @param  list<string>  $texts  that the rows point to
     * @return int bytes
     */
    public static function bytes(int $tables, array $texts): int
    {
        // The compiler keeps a text once, however often it is pointed to, and a nought after it.
        return $tables + array_sum(array_map(static fn (string $text): int => strlen($text) + 1, array_unique($texts)));
    }
}
