<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Behaviour\Steps;
use Rundfunk\Check\ControlRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Spot;

/** A step that is of no sequence, or of one on another node. */
#[Finds('step-lost', WorkStep::Nodes)]
final readonly class StepLost implements ControlRule
{
    public function check(Control $control, Look $look): iterable
    {
        if ($control->kind !== ControlKind::Step) {
            return [];
        }
        $whole = Steps::whole($look->plan, $control);
        if ($whole !== null && $whole->nodeId === $control->nodeId) {
            return [];
        }
        $node = $look->plan->node($control->nodeId);

        return [Finding::fault(
            $whole === null ? "{$control->name} is a step of nothing" : "{$control->name} is on another node than {$whole->name}",
            Spot::of($control, "{$node->name}, {$control->name}"),
            $whole === null ? 'Its turn never comes.' : 'A sequence runs on one board; what is to happen elsewhere is told over a link, by a route of a step here.',
            'Make it a step of a sequence or group of its own node, or remove it.',
            Fix::remove("Remove {$control->name}", $control),
        )];
    }
}
