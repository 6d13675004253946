<?php

declare(strict_types=1);

namespace Rundfunk\Drawing;

/** A node, as a post. */
final readonly class MapPost
{
    public function __construct(
        public string $nodeId,
        public ?string $placeId,
        public float $x,
        /** Where its post ends: at the last line it is on. */
        public float $bottom,
    ) {
    }
}
