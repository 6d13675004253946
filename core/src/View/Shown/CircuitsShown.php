<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

use Rundfunk\Shape\ListOf;

/** What hangs where, and how full that is. */
final readonly class CircuitsShown
{
    public function __construct(
        /** @var list<CircuitShown> */
        #[ListOf(CircuitShown::class)] public array $circuits,
        /** @var list<LoadShown> */
        #[ListOf(LoadShown::class)] public array $loads,
    ) {
    }
}
