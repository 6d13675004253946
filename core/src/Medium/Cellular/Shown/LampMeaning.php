<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Shown;

/** How a modem's lamp flashes, and what that means. */
final readonly class LampMeaning
{
    public function __construct(
        public string $flashes,
        public string $means,
    ) {
    }
}
