<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

/** The code that tells a function one thing; whether one is wanted there, and whether a route asks for it. */
final readonly class GridCell
{
    public function __construct(
        public ?string $codeId,
        public ?string $says,
        public bool $wanted,
        public bool $asked,
    ) {
    }
}
