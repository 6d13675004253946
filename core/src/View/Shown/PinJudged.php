<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

/** Whether a terminal can go on a pin. */
final readonly class PinJudged
{
    public function __construct(
        public string $pin,
        public bool $fits,
        /** @var string why not, or what it costs; empty where there is nothing to say */
        public string $why,
    ) {
    }
}
