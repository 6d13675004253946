<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

use Rundfunk\Shape\ListOf;

/** A parts list. */
final readonly class PartsShown
{
    public function __construct(
        /** @var list<PartLineShown> */
        #[ListOf(PartLineShown::class)] public array $lines,
    ) {
    }
}
