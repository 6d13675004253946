<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

use Rundfunk\Shape\ListOf;

/** What a bought thing can be told: a row a function, a column an action or value. */
final readonly class CodeGrid
{
    public function __construct(
        /** @var list<GridColumn> */
        #[ListOf(GridColumn::class)] public array $columns,
        /** @var list<GridRow> */
        #[ListOf(GridRow::class)] public array $rows,
    ) {
    }
}
