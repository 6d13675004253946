<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Behaviour\KnowsTheTime;
use Rundfunk\Check\ControlRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Spot;
use Rundfunk\Shape\Values;

/** A time of day on a node that does not know it. */
#[Finds('clock-missing', WorkStep::Nodes)]
final readonly class ClockMissing implements ControlRule
{
    private const CLOCK = 'clock-i2c';

    public function check(Control $control, Look $look): iterable
    {
        if ($control->kind !== ControlKind::Timer || ((new Values($control->settings))->textOrNull('at') ?? '') === '') {
            return [];
        }
        $node = $look->plan->node($control->nodeId);
        foreach ($look->plan->modulesOf($node) as $module) {
            if ($look->catalogue->classOf($module)->tellsTime) {
                return [];
            }
        }
        foreach ($look->plan->endpointsOf($node) as $endpoint) {
            if ($look->media->offering(KnowsTheTime::class, $look->plan->link($endpoint->linkId)->medium) !== null) {
                return [];
            }
        }

        return [Finding::fault(
            "{$node->name} does not know what time it is",
            Spot::of($control, "{$node->name}, {$control->name}", 'at'),
            "A board counts milliseconds from when it was switched on, and nothing tells it the time of day: {$control->name} never strikes.",
            'Give the node a real-time clock, or a link on which it is told the time; or let the timer strike every so many minutes.',
            Fix::add('Add a real-time clock', new Module($look->plan->newId('module', $node->id, self::CLOCK), $node->id, self::CLOCK, 'Clock')),
        )];
    }
}
