<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

/** What a control does to its output as it stands: after a press, when another holds it, after off by hand. */
final readonly class Master
{
    public function __construct(
        public string $routeId,
        public bool $whenOff,
        public bool $whenOn,
        public ?bool $whenHeld,
        public ?bool $afterOff,
    ) {
    }
}
