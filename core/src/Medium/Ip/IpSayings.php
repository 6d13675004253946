<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip;

use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Routes\SaysCommands;

/** What goes over the link for a command. */
final readonly class IpSayings implements SaysCommands
{
    public function saying(Plan $plan, Hop $hop): string
    {
        $route = $plan->route($hop->routeId);

        return Topics::command($plan, $plan->link($hop->linkId), $plan->output($route->outputId)).' '.Topics::payload($route);
    }
}
