<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

use Rundfunk\Build\ListsParts;
use Rundfunk\Build\PartLine;
use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;

/** The resistors at the ends of a bus. */
final readonly class CanPartLines implements ListsParts
{
    public function partLines(Plan $plan, Endpoint $endpoint, Knowledge $knowledge): array
    {
        $end = CanEnd::of($plan, $endpoint);
        // A foreign bus has its own.
        if (! $end->terminated || CanSettings::of($plan->link($endpoint->linkId))->foreign) {
            return [];
        }
        $name = $plan->node($endpoint->nodeId)->name;

        return [PartLine::one('resistor '.Figures::ohms((float) $end->terminatorOhm), '0.25 W, or the jumper that is there', $endpoint->moduleId === null ? $name : "{$name}: {$plan->module($endpoint->moduleId)->name}", at: 'between H and L')];
    }
}
