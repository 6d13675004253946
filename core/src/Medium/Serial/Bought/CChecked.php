<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

use Rundfunk\Plan\Protocol;

/** The check of what a frame has so far, from the byte that it begins with, as an expression of C. */
final readonly class CChecked
{
    /**
     * @param  string  $bytes  where the frame begins
     * @param  string  $have  how many bytes there are
     */
    public static function of(Protocol $protocol, string $bytes, string $have): string
    {
        $from = $protocol->checkFrom;

        return $from === 0 ? "(uint32_t){l}_check({$bytes}, {$have})" : "(uint32_t){l}_check({$bytes} + {$from}, {$have} > {$from} ? (uint8_t)({$have} - {$from}) : 0)";
    }
}
