<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Behaviour\Answers;
use Rundfunk\Check\ControlRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Spot;

/** Of something that can hurt it is said what it was told, not what it does. */
#[Finds('state-only-told', WorkStep::Nodes)]
final readonly class StateOnlyTold implements ControlRule
{
    public function check(Control $control, Look $look): iterable
    {
        $of = $control->kind === ControlKind::State && $control->measuredId === null ? Answers::of($look->plan, $control) : null;
        if ($of === null || ! $of->isDangerous()) {
            return [];
        }
        $node = $look->plan->node($control->nodeId);

        return [Finding::advice(
            "{$control->name} says what {$of->name} was told, not what it does",
            Spot::of($control, "{$node->name}, {$control->name}", 'measuredId'),
            'A contact that has welded, a fuse that has blown, a coil that is off: the pin says "off" or "on" all the same, and from afar that is all there is to see.',
            'Sense it: a second contact of the relay, a limit or flow switch, the current. Until then let nobody rely on what is shown.',
        )];
    }
}
