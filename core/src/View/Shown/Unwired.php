<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

/** A terminal that needs a pin and has none. */
final readonly class Unwired
{
    public function __construct(
        public string $moduleId,
        public string $terminal,
        public string $what,
    ) {
    }
}
