<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Shown;

/** A number that is obeyed. */
final readonly class AllowedCaller
{
    public function __construct(
        public string $name,
        public string $number,
    ) {
    }
}
