<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Build\ListsParts;
use Rundfunk\Build\PartLine;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;

/** The resistors at the last of each stretch. */
final readonly class DmxPartLines implements ListsParts
{
    public function partLines(Plan $plan, Endpoint $endpoint, Knowledge $knowledge): array
    {
        if (! DmxEnd::of($endpoint)->terminated || DmxSettings::of($plan->link($endpoint->linkId))->isNetwork) {
            return [];
        }

        return [PartLine::one('resistor 120 Ω', '0.25 W, in a plug', $plan->node($endpoint->nodeId)->name, at: 'between data + and data −')];
    }
}
