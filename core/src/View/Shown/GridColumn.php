<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

use Rundfunk\Plan\Action;

/** An action, or a value that is set. */
final readonly class GridColumn
{
    public function __construct(
        public Action $action,
        public ?int $value,
        public string $label,
    ) {
    }
}
