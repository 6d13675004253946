<?php

declare(strict_types=1);

namespace Rundfunk\Shape;

final readonly class NumberType implements FieldType
{
    public function __construct(public float $lowest, public float $highest)
    {
    }

    public function accept(mixed $value, string $place, Problems $problems): ?float
    {
        if ((! is_int($value) && ! is_float($value)) || $value < $this->lowest || $value > $this->highest) {
            $problems->add($place, 'must be '.$this->wants());

            return null;
        }

        return (float) $value;
    }

    public function wants(): string
    {
        return "a number from {$this->lowest} to {$this->highest}";
    }

    public function schema(): array
    {
        return ['type' => 'number', 'minimum' => $this->lowest, 'maximum' => $this->highest];
    }
}
