<?php

declare(strict_types=1);

namespace Rundfunk\Drawing;

/** A node that is on several lines, as a bar across them. */
final readonly class MapBar
{
    public function __construct(
        public string $nodeId,
        public float $x,
        public float $top,
        public float $bottom,
    ) {
    }
}
