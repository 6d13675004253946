<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

/** What a load does in one phase. */
final readonly class SafeCell
{
    public function __construct(
        public string $phase,
        /** @var string "off", "ON", "held", "either", "as told"; "–" where such a phase does not occur */
        public string $word,
        /** @var bool it may not be what it must be */
        public bool $isUnsafe,
    ) {
    }
}
