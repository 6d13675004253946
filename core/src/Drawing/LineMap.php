<?php

declare(strict_types=1);

namespace Rundfunk\Drawing;

/** The line map as it lies on a page: a wide plan folds into bands. All lengths in pixels. */
final readonly class LineMap
{
    public function __construct(
        /** @var list<MapBand> */
        public array $bands,
        /** @var list<string> ids of all nodes, from left to right through all bands */
        public array $order,
    ) {
    }
}
