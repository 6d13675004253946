<?php

declare(strict_types=1);

namespace Rundfunk\Frame;

/** A field where it stands in its frame. */
final readonly class PlacedField
{
    /** @param  int  $atBit  its first: bit 0 is the lowest of the first byte, bit 8 the lowest of the second */
    public function __construct(public FrameField $field, public int $atBit)
    {
    }

    public function firstByte(): int
    {
        return intdiv($this->atBit, 8);
    }

    public function lastByte(): int
    {
        return intdiv($this->atBit + $this->field->size->bits - 1, 8);
    }

    /** @return int by how many places its bits are moved up in the byte; below nought, down */
    public function shiftIn(int $byte): int
    {
        return $this->atBit - 8 * $byte;
    }

    /** @return string "byte 2", "bytes 2–3", "byte 4, bits 0–2", "byte 4, bit 7, to byte 5, bit 1" */
    public function words(): string
    {
        [$first, $last] = [$this->firstByte(), $this->lastByte()];
        if ($this->field->size->isOfBytes) {
            return $first === $last ? "byte {$first}" : "bytes {$first}–{$last}";
        }
        $from = $this->atBit % 8;
        $to = ($this->atBit + $this->field->size->bits - 1) % 8;

        return match (true) {
            $first !== $last => "byte {$first}, bit {$from}, to byte {$last}, bit {$to}",
            $from === $to => "byte {$first}, bit {$from}",
            default => "byte {$first}, bits {$from}–{$to}",
        };
    }
}
