<?php

declare(strict_types=1);

namespace Rundfunk\Shape;

final readonly class OneOfType implements FieldType
{
    /** @param  list<int|string>  $choices */
    public function __construct(public array $choices)
    {
    }

    public function accept(mixed $value, string $place, Problems $problems): int|string|null
    {
        if (! in_array($value, $this->choices, true)) {
            $problems->add($place, 'must be '.$this->wants());

            return null;
        }

        /** @var int|string $value one of the choices */
        return $value;
    }

    public function wants(): string
    {
        return 'one of '.implode(', ', $this->choices);
    }

    public function schema(): array
    {
        return ['enum' => $this->choices];
    }
}
