<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

use Rundfunk\Shape\ListOf;

/** One phase of an output, with the chain behind it. */
final readonly class PhaseChain
{
    public function __construct(
        public string $phase,
        /** @var string for a sentence */
        public string $when,
        public string $word,
        public bool $isUnsafe,
        /** @var list<ChainShown> */
        #[ListOf(ChainShown::class)] public array $links,
    ) {
    }
}
