<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

use Rundfunk\Shape\ListOf;

/** Every pin of the board, judged for one terminal. */
final readonly class TerminalPins
{
    public function __construct(
        public string $terminal,
        /** @var list<PinJudged> */
        #[ListOf(PinJudged::class)] public array $pins,
    ) {
    }
}
