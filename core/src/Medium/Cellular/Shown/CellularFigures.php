<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Shown;

use Rundfunk\Shape\ListOf;

/** The figures of a cellular link: who is obeyed, each modem, each end. */
final readonly class CellularFigures
{
    public function __construct(
        /** @var list<AllowedCaller> */
        #[ListOf(AllowedCaller::class)]
        public array $allowed,
        /** @var list<ModemShown> */
        #[ListOf(ModemShown::class)]
        public array $modems,
        /** @var list<LampMeaning> */
        #[ListOf(LampMeaning::class)]
        public array $lamp,
        /** @var list<CellularEndFigures> */
        #[ListOf(CellularEndFigures::class)]
        public array $ends,
    ) {
    }
}
