<?php

declare(strict_types=1);

namespace Rundfunk\Frame;

/** What a field of a frame can hold, and in how many bits. One of whole bytes begins at a byte and is what C calls it; any other takes the bits it needs, counted up from the lowest it can hold. */
final readonly class FieldSize
{
    /** @param  bool  $isOfBytes  it stands in bytes of its own */
    private function __construct(public int $bits, public int $lowest, public int $highest, public bool $isOfBytes = true)
    {
    }

    public static function u8(): self
    {
        return new self(8, 0, 0xFF);
    }

    public static function u16(): self
    {
        return new self(16, 0, 0xFFFF);
    }

    public static function i16(): self
    {
        return new self(16, -32_768, 32_767);
    }

    public static function u32(): self
    {
        return new self(32, 0, 0xFFFF_FFFF);
    }

    /**
     * @param  int  $lowest  −32768 or more
     * @param  int  $highest  more than the lowest, by less than 2¹⁷
     * @return self as few bits as tell all of them apart: two for nought to three
     */
    public static function between(int $lowest, int $highest): self
    {
        return new self(max(1, strlen(decbin($highest - $lowest))), $lowest, $highest, false);
    }

    /** @return int in which it fits, however it stands in them */
    public function wholeBytes(): int
    {
        return intdiv($this->bits + 7, 8);
    }

    /** @return int what stands in its bits for a value */
    public function raw(int $value): int
    {
        return ($this->isOfBytes ? $value : $value - $this->lowest) & ((1 << $this->bits) - 1);
    }

    /** @return int what a raw figure stands for; beyond its highest where it stands for nothing */
    public function value(int $raw): int
    {
        if (! $this->isOfBytes) {
            return $raw + $this->lowest;
        }

        return $raw > $this->highest ? $raw - (1 << $this->bits) : $raw;
    }

    /** Whether its bits can hold what stands for nothing. */
    public function hasIdleCodes(): bool
    {
        return $this->highest - $this->lowest + 1 < 1 << $this->bits;
    }

    public function cType(): string
    {
        return match (true) {
            $this->lowest < 0 => $this->highest <= 0x7FFF && $this->lowest >= -0x8000 ? 'int16_t' : 'int32_t',
            $this->highest <= 0xFF => 'uint8_t',
            $this->highest <= 0xFFFF => 'uint16_t',
            default => 'uint32_t',
        };
    }

    /** @return string of the same width as its bits, at least */
    public function cUnsigned(): string
    {
        return match (true) {
            $this->bits <= 8 => 'uint8_t',
            $this->bits <= 16 => 'uint16_t',
            default => 'uint32_t',
        };
    }
}
