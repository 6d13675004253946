<?php

declare(strict_types=1);

namespace Rundfunk\Shape;

interface FieldType
{
    /** The value itself when it will do; otherwise a problem is added and null returned. */
    public function accept(mixed $value, string $place, Problems $problems): mixed;

    /** What would have been right, as the end of a sentence: "a whole number from 0 to 125". */
    public function wants(): string;

    /** @return array<string, mixed> */
    public function schema(): array;
}
