<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

/** One band of a drawing. Lengths in pixels. */
final readonly class DrawnBand
{
    public function __construct(
        public float $width,
        public float $height,
        /** @var string what an svg element of that size holds; what stands for a thing bears its kind and id as its id, "node-…" */
        public string $svg,
    ) {
    }
}
