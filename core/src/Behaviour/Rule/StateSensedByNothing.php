<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Check\ControlRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Spot;
use Rundfunk\Shape\Values;

/** A state that is said to be sensed by something that senses no such thing. */
#[Finds('state-sensed-by-nothing', WorkStep::Nodes)]
final readonly class StateSensedByNothing implements ControlRule
{
    public function check(Control $control, Look $look): iterable
    {
        if ($control->kind !== ControlKind::State || $control->measuredId === null) {
            return [];
        }
        $sensor = $look->plan->control($control->measuredId);
        $threshold = $sensor->kind === ControlKind::Reading && (new Values($sensor->settings))->numberOrNull('threshold') !== null;
        $contact = $sensor->kind === ControlKind::Switch || $sensor->kind === ControlKind::Button;
        if ($sensor->nodeId === $control->nodeId && ($contact || $threshold)) {
            return [];
        }
        $node = $look->plan->node($control->nodeId);

        return [Finding::fault(
            "{$sensor->name} does not sense how {$control->name} stands",
            Spot::of($control, "{$node->name}, {$control->name}", 'measuredId'),
            match (true) {
                $sensor->nodeId !== $control->nodeId => 'It is on another board: what this one senses is wired to its own pins.',
                $sensor->kind === ControlKind::Reading => 'A reading without a threshold has no side that counts as on.',
                default => "A {$sensor->kind->words()} senses nothing.",
            },
            'Name a contact (of the relay, of a limit or flow switch) or a reading with a threshold (of the current) of the same node.',
            Fix::change('Say what it was told instead', $control, ['measuredId' => null]),
        )];
    }
}
