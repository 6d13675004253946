<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

use Rundfunk\Shape\ListOf;

/** The controls that drive one output, where there are several. */
final readonly class OutputMasters
{
    public function __construct(
        /** @var list<Master> */
        #[ListOf(Master::class)] public array $masters,
    ) {
    }
}
