<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

/** One hop of a way: over which link, from which end to which, and what is said to which address. */
final readonly class RouteHop
{
    public function __construct(
        public string $linkId,
        public string $fromId,
        public string $toId,
        public ?string $code,
        public ?string $address,
    ) {
    }
}
