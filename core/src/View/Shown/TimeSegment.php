<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

use Rundfunk\Timing\SpanKind;

/** One stretch of a reaction time, and its share of the worst. */
final readonly class TimeSegment
{
    public function __construct(
        public SpanKind $kind,
        public string $label,
        public string $best,
        public string $typical,
        public string $worst,
        public float $share,
    ) {
    }
}
