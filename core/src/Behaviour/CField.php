<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

/** One field of a struct of a behaviour header. */
final readonly class CField
{
    /** Bytes on an 8-bit board, where pointers take two and nothing is padded. */
    private const BYTES = ['uint8_t' => 1, 'int8_t' => 1, 'uint16_t' => 2, 'int16_t' => 2, 'uint32_t' => 4, 'struct node_told *' => 2];

    /** @param  int  $bytes  of one; known for plain types */
    private function __construct(public string $type, public string $name, public ?int $count, private int $bytes)
    {
    }

    public static function of(string $type, string $name, ?int $count = null): self
    {
        return new self($type, $name, $count, self::BYTES[$type]);
    }

    /** @param  list<self>  $fields */
    public static function records(string $struct, string $name, int $count, array $fields): self
    {
        return new self("struct {$struct}", $name, $count, self::bytesOf($fields));
    }

    /** A name given to a plain type. */
    public static function called(string $type, string $name, string $plain): self
    {
        return new self($type, $name, null, self::BYTES[$plain]);
    }

    public function line(): string
    {
        $gap = str_ends_with($this->type, '*') ? '' : ' ';

        return "    {$this->type}{$gap}{$this->name}".($this->count === null ? '' : "[{$this->count}]").';';
    }

    /** @param  list<self>  $fields */
    public static function bytesOf(array $fields): int
    {
        return array_sum(array_map(static fn (self $field): int => $field->bytes * ($field->count ?? 1), $fields));
    }
}
