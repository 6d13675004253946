<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

use Rundfunk\Shape\ListOf;

/** A route's way as it is travelled, or could be, and how long a press takes to become a click. */
final readonly class RouteWay
{
    public function __construct(
        public bool $arrives,
        /** @var list<RouteHop> */
        #[ListOf(RouteHop::class)] public array $hops,
        public ?RouteTime $time,
        public ?RouteAnswer $answer,
    ) {
    }
}
