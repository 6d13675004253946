<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

/** A circuit with all that is on it. */
final readonly class CircuitShown
{
    public function __construct(
        public string $circuitId,
        /** @var float with everything on */
        public float $amperes,
        /** @var float|null of its fuse; 1 for all of it */
        public ?float $share,
        /** @var float|null through its residual-current device */
        public ?float $leakageMa,
        public string $says,
    ) {
    }
}
