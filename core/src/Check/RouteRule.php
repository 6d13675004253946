<?php

declare(strict_types=1);

namespace Rundfunk\Check;

use Rundfunk\Plan\Route;

/** Judges a route with its control, its output and its hops. */
interface RouteRule extends Rule
{
    /** @return iterable<Finding> */
    public function check(Route $route, Look $look): iterable;
}
