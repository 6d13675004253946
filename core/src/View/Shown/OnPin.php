<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

/** A terminal that is on a pin. */
final readonly class OnPin
{
    public function __construct(
        public string $useId,
        public string $moduleId,
        public string $terminal,
        public string $what,
        public bool $pinned,
    ) {
    }
}
