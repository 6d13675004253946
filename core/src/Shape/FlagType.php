<?php

declare(strict_types=1);

namespace Rundfunk\Shape;

final readonly class FlagType implements FieldType
{
    public function accept(mixed $value, string $place, Problems $problems): ?bool
    {
        if (! is_bool($value)) {
            $problems->add($place, 'must be '.$this->wants());

            return null;
        }

        return $value;
    }

    public function wants(): string
    {
        return 'true or false';
    }

    public function schema(): array
    {
        return ['type' => 'boolean'];
    }
}
