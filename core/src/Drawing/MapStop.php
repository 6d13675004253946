<?php

declare(strict_types=1);

namespace Rundfunk\Drawing;

/** An end of a link, where its line meets its post. */
final readonly class MapStop
{
    public function __construct(
        public string $endpointId,
        public string $nodeId,
        public ?string $mark,
        public float $x,
    ) {
    }
}
