<?php

declare(strict_types=1);

namespace Rundfunk\Frame;

/**
 * The bytes of a message's payload: fields one after another, then filler up to a fixed length. Little-endian: the lowest byte
 * first, and in a byte the lowest bit first. Fields of whole bytes begin at a byte, others where the one before them ends.
 */
final readonly class FrameLayout
{
    /**
     * @param  list<FrameField>  $fields
     * @param  FrameRoom|null  $room  bytes among them that have a layout of their own
     */
    public function __construct(public int $lengthBytes, public array $fields, public ?FrameRoom $room = null)
    {
    }

    /** One that is as long as its fields. */
    public static function ofItsLength(FrameField ...$fields): self
    {
        $fields = array_values($fields);

        return new self((new self(0, $fields))->usedBytes(), $fields);
    }

    public function usedBytes(): int
    {
        return max($this->fieldBytes(), $this->room?->endByte() ?? 0);
    }

    /** @return int bytes up to the end of its last field */
    public function fieldBytes(): int
    {
        $placed = $this->placed();

        return $placed === [] ? 0 : end($placed)->lastByte() + 1;
    }

    public function fits(): bool
    {
        return $this->usedBytes() <= $this->lengthBytes;
    }

    /** @return list<PlacedField> */
    public function placed(): array
    {
        $bit = 0;
        $placed = [];
        foreach ($this->fields as $field) {
            $bit = max($bit, 8 * $field->notBefore);
            if ($field->size->isOfBytes) {
                $bit = 8 * intdiv($bit + 7, 8);
            }
            $placed[] = new PlacedField($field, $bit);
            $bit += $field->size->bits;
        }

        return $placed;
    }
}
