<?php

declare(strict_types=1);

namespace Rundfunk\Routes;

use Rundfunk\Check\Look;
use Rundfunk\Plan\Route;

/** Whether a route's fade is made where its output is. */
final readonly class Fading
{
    /** @return bool|null null while nobody knows how the route goes there */
    public static function isMade(Look $look, Route $route): ?bool
    {
        $hops = $look->plan->hopsOf($route);
        $last = $hops[count($hops) - 1] ?? null;
        if ($last === null) {
            return $look->plan->control($route->controlId)->nodeId === $look->plan->output($route->outputId)->nodeId ? false : null;
        }

        return $look->media->offering(Fades::class, $look->plan->link($last->linkId)->medium)?->fades($look->plan, $last) === true;
    }
}
