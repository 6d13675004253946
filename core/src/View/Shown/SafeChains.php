<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

use Rundfunk\Shape\ListOf;

/** An output's phases with their chains, and the cheapest ways to make all of them safe. */
final readonly class SafeChains
{
    public function __construct(
        /** @var list<PhaseChain> */
        #[ListOf(PhaseChain::class)] public array $phases,
        /** @var list<SafeWay> the cheapest first */
        #[ListOf(SafeWay::class)] public array $ways,
        /** @var bool nothing is unsafe, or there is a way */
        public bool $isPossible,
        /** @var bool the load can hang on either contact */
        public bool $hasChangeover,
    ) {
    }
}
