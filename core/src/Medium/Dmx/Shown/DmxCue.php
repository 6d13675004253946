<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Shown;

/** What a control does to one slot. */
final readonly class DmxCue
{
    public function __construct(
        public string $routeId,
        public string $outputId,
        /** @var string "255", "off", "on while held" */
        public string $says,
        public int $fadeMs,
        /** @var bool whether that is where it rests */
        public bool $rests,
    ) {
    }
}
