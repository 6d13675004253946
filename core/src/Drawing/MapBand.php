<?php

declare(strict_types=1);

namespace Rundfunk\Drawing;

/** One band of the line map, from its left edge. */
final readonly class MapBand
{
    public function __construct(
        /** @var list<MapPost> */
        public array $posts,
        /** @var list<MapPlace> */
        public array $places,
        /** @var list<MapLine> */
        public array $lines,
        /** @var list<MapBar> */
        public array $bars,
        public float $width,
        public float $height,
    ) {
    }
}
