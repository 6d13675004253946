<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

/** The line map as it lies on a page: a wide plan folds into bands. All lengths in pixels. */
final readonly class LineMap
{
    public function __construct(
        /** @var list<MapBand> */
        #[ListOf(MapBand::class)] public array $bands,
        /** @var list<string> ids of all nodes, from left to right through all bands */
        #[ListOf('string')] public array $order,
    ) {
    }
}
