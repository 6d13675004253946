<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

/** A column of the matrix of safe states. */
final readonly class PhaseNamed
{
    public function __construct(
        public string $key,
        public string $words,
    ) {
    }
}
