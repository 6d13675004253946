<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

use Rundfunk\Shape\ListOf;

/** A function, with a cell for each column. */
final readonly class GridRow
{
    public function __construct(
        public string $outputId,
        public string $name,
        public ?string $channel,
        /** @var list<GridCell> */
        #[ListOf(GridCell::class)] public array $cells,
    ) {
    }
}
