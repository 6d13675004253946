<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

/** The twin of {@see BitWriter}. Beyond the end it reads nothing. */
final class BitReader
{
    private int $at = -1;

    private int $left = 0;

    public function __construct(private readonly string $bytes, private readonly bool $seven)
    {
    }

    public function take(int $bits): int
    {
        $value = 0;
        while ($bits > 0) {
            if ($this->left === 0) {
                $this->at++;
                $this->left = $this->seven && $this->at > 0 ? 7 : 8;
            }
            $take = min($bits, $this->left);
            $bits -= $take;
            $this->left -= $take;
            $value = $value << $take | (ord($this->bytes[$this->at] ?? "\0") >> $this->left & (1 << $take) - 1);
        }

        return $value;
    }

    /** @return int bytes that were begun */
    public function begun(): int
    {
        return $this->at + 1;
    }
}
