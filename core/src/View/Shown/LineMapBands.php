<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

use Rundfunk\Shape\ListOf;

/** The line map, drawn: a wide plan folds into bands that stand below each other. */
final readonly class LineMapBands
{
    public function __construct(
        /** @var list<DrawnBand> */
        #[ListOf(DrawnBand::class)]
        public array $bands,
    ) {
    }
}
