<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

/** A wire with what is given, what arrives and what is wanted. */
final readonly class LevelRow
{
    public function __construct(
        /** @var string of the pin use */
        public string $useId,
        public string $moduleId,
        public string $terminal,
        public string $pin,
        /** @var bool the board says something by it, and does not hear */
        public bool $driven,
        /** @var string "3.3 V"; of what lives on its pin, what a pin should give: "20 mA" */
        public string $gives,
        /** @var string "high from 2.1 V, stands 3.1" */
        public string $takes,
        /** @var string what comes of it: "2.8 V arrive" */
        public string $arrives,
        public bool $sound,
        /** @var string what stands between: "divider 1 kΩ / 1.2 kΩ"; "straight" where nothing does */
        public string $between,
    ) {
    }
}
