<?php

declare(strict_types=1);

namespace Rundfunk\Shape;

final readonly class WholeType implements FieldType
{
    public function __construct(public int $lowest, public int $highest)
    {
    }

    public function accept(mixed $value, string $place, Problems $problems): ?int
    {
        if (! is_int($value) || $value < $this->lowest || $value > $this->highest) {
            $problems->add($place, 'must be '.$this->wants());

            return null;
        }

        return $value;
    }

    public function wants(): string
    {
        return "a whole number from {$this->lowest} to {$this->highest}";
    }

    public function schema(): array
    {
        return ['type' => 'integer', 'minimum' => $this->lowest, 'maximum' => $this->highest];
    }
}
