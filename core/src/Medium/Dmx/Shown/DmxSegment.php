<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Shown;

/** A stretch of cable. */
final readonly class DmxSegment
{
    public function __construct(
        public int $number,
        /** @var string|null by name; null where nothing feeds it */
        public ?string $fedBy,
        public int $ends,
        /** @var float of 32 */
        public float $unitLoads,
        /** @var string|null who ends it, by name */
        public ?string $endsAt,
    ) {
    }
}
