<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

/** A discrete part, and where it is. */
final readonly class PlacedPart
{
    public function __construct(
        public string $partId,
        public string $moduleId,
        public string $terminal,
        /** @var string "capacitor" */
        public string $kind,
        /** @var string "capacitor 2200 µF" */
        public string $what,
        public bool $owned,
    ) {
    }
}
