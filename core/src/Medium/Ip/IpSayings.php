<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip;

use Rundfunk\Behaviour\CarriesLetGo;
use Rundfunk\Behaviour\TellsMessagesApart;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Routes\SaysCommands;

/** What goes over the link for a command. */
final readonly class IpSayings implements CarriesLetGo, SaysCommands, TellsMessagesApart
{
    public function saying(Plan $plan, Hop $hop): string
    {
        $route = $plan->route($hop->routeId);

        return Topics::command($plan, $plan->link($hop->linkId), $plan->output($route->outputId)).' '.Topics::payload($route);
    }

    public function mark(Plan $plan, Hop $hop): string
    {
        return $this->saying($plan, $hop);
    }

    /** The broker hands on what was said, not who said it. */
    public function showsSender(Plan $plan, Hop $hop): bool
    {
        return false;
    }
}
