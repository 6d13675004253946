<?php

declare(strict_types=1);

namespace Rundfunk\Shape;

/** One thing wrong with an input, and where: a JSON pointer. */
final readonly class Problem
{
    public function __construct(public string $place, public string $message)
    {
    }
}
