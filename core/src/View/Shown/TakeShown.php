<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

/** Something that draws from a supply. */
final readonly class TakeShown
{
    public function __construct(
        public string $id,
        public string $name,
        public float $typicalMa,
        public float $peakMa,
    ) {
    }
}
