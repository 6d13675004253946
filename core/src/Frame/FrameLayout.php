<?php

declare(strict_types=1);

namespace Rundfunk\Frame;

/** The bytes of a message's payload: fields one after another, then filler up to a fixed length. Little-endian. */
final readonly class FrameLayout
{
    /** @var list<FrameField> */
    public array $fields;

    public function __construct(public int $lengthBytes, FrameField ...$fields)
    {
        $this->fields = array_values($fields);
    }

    public function usedBytes(): int
    {
        return array_sum(array_map(static fn (FrameField $field): int => $field->size->bytes(), $this->fields));
    }

    public function fits(): bool
    {
        return $this->usedBytes() <= $this->lengthBytes;
    }

    /** @return list<array{field: FrameField, offset: int}> */
    public function placed(): array
    {
        $offset = 0;
        $placed = [];
        foreach ($this->fields as $field) {
            $placed[] = ['field' => $field, 'offset' => $offset];
            $offset += $field->size->bytes();
        }

        return $placed;
    }
}
