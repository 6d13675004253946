<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

/** The figures of a link's instrument panel; which there are, the medium says. */
final readonly class LinkPanel
{
    public function __construct(
        public string $medium,
        /** One of what the medium's panel says as its shape. */
        public object $figures,
    ) {
    }
}
