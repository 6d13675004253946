<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

/** One link of the chain from pin to load. */
final readonly class ChainShown
{
    public function __construct(
        public string $what,
        public string $is,
        public string $why,
    ) {
    }
}
