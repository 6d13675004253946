<?php

declare(strict_types=1);

namespace Rundfunk\Shape;

/** A record of several fields inside a thing: a step of a sequence, a pin of a board. In a list, through {@see ListType}. */
final readonly class RecordType implements FieldType
{
    public function __construct(public Shape $shape)
    {
    }

    public function accept(mixed $value, string $place, Problems $problems): mixed
    {
        return $this->shape->accept($value, $place, $problems);
    }

    public function wants(): string
    {
        return 'an object with '.implode(', ', array_keys($this->shape->fields));
    }

    public function schema(): array
    {
        return $this->shape->schema();
    }
}
