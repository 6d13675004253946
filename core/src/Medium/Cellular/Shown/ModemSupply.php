<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Shown;

/** How a supply bears a modem that sends. */
final readonly class ModemSupply
{
    public function __construct(
        /** @var float after the first burst */
        public float $firstV,
        /** @var float after many */
        public float $steadyV,
        /** @var float that it needs */
        public float $leastV,
    ) {
    }
}
