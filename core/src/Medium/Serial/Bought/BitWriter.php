<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

/** Bits, the highest first, into bytes of eight; or into a first one of eight and others of seven, whose top bit stays 0. */
final class BitWriter
{
    private string $bytes = '';

    /** How many bits of the last byte are free. */
    private int $room = 0;

    public function __construct(private readonly bool $seven)
    {
    }

    public function put(int $value, int $bits): void
    {
        while ($bits > 0) {
            if ($this->room === 0) {
                $this->room = $this->seven && $this->bytes !== '' ? 7 : 8;
                $this->bytes .= "\0";
            }
            $take = min($bits, $this->room);
            $bits -= $take;
            $this->room -= $take;
            $last = strlen($this->bytes) - 1;
            $this->bytes[$last] = chr(ord($this->bytes[$last]) | ($value >> $bits & (1 << $take) - 1) << $this->room);
        }
    }

    public function bytes(): string
    {
        return $this->bytes;
    }
}
