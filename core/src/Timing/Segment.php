<?php

declare(strict_types=1);

namespace Rundfunk\Timing;

/** One stretch of a reaction time, nanoseconds. */
final readonly class Segment
{
    public function __construct(
        public SegmentKind $kind,
        public string $label,
        public int $bestNs,
        public int $typicalNs,
        public int $worstNs,
    ) {
    }
}
