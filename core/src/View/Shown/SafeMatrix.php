<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

use Rundfunk\Shape\ListOf;

/** What every load does in every phase. */
final readonly class SafeMatrix
{
    public function __construct(
        /** @var list<PhaseNamed> */
        #[ListOf(PhaseNamed::class)] public array $phases,
        /** @var list<SafeRow> */
        #[ListOf(SafeRow::class)] public array $rows,
        /** @var list<string> what the usual care asks, by what the plan holds */
        #[ListOf('string')] public array $cautions,
    ) {
    }
}
