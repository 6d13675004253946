<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

use Rundfunk\Plan\FeedsAt;

/** Where a board can be fed. */
final readonly class BoardInputShown
{
    public function __construct(
        public FeedsAt $at,
        /** @var string with what it wants: "USB socket, 4.75 to 5.25 V" */
        public string $name,
    ) {
    }
}
