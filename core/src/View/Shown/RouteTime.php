<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

use Rundfunk\Shape\ListOf;

/** From press to click, as people read it. */
final readonly class RouteTime
{
    public function __construct(
        public string $best,
        public string $typical,
        public string $worst,
        /** @var list<TimeSegment> */
        #[ListOf(TimeSegment::class)] public array $segments,
    ) {
    }
}
