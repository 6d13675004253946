<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

/** One band of the line map, from its left edge. */
final readonly class MapBand
{
    public function __construct(
        /** @var list<MapPost> */
        #[ListOf(MapPost::class)] public array $posts,
        /** @var list<MapPlace> */
        #[ListOf(MapPlace::class)] public array $places,
        /** @var list<MapLine> */
        #[ListOf(MapLine::class)] public array $lines,
        /** @var list<MapBar> */
        #[ListOf(MapBar::class)] public array $bars,
        public float $width,
        public float $height,
    ) {
    }
}
