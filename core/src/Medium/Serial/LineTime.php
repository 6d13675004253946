<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\OutOfRange;

/** How long characters are on a serial line. Source: arithmetic. */
final readonly class LineTime
{
    private function __construct(private int $baud, private int $bitsPerCharacter)
    {
    }

    /**
     * @param  int  $bitsPerCharacter  start, data, parity and stop
     *
     * @throws OutOfRange
     */
    public static function of(int $baud, int $bitsPerCharacter): self
    {
        OutOfRange::unless('baud', $baud, 1, 100_000_000);
        OutOfRange::unless('bits_per_character', $bitsPerCharacter, 7, 13);

        return new self($baud, $bitsPerCharacter);
    }

    public function ns(int $bytes): int
    {
        return intdiv($bytes * $this->bitsPerCharacter * 1_000_000_000, $this->baud);
    }

    public function ms(int $bytes): float
    {
        return 1_000 * $bytes * $this->bitsPerCharacter / $this->baud;
    }
}
