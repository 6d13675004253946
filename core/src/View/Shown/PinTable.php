<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

use Rundfunk\Shape\ListOf;

/** Every pin of a board and what is on it, and what still wants a pin. */
final readonly class PinTable
{
    public function __construct(
        /** @var list<PinRow> */
        #[ListOf(PinRow::class)] public array $pins,
        /** @var list<Unwired> */
        #[ListOf(Unwired::class)] public array $unwired,
    ) {
    }
}
