<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Rule;

use Rundfunk\Check\ControlRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Can\CanSignal;
use Rundfunk\Medium\Can\Ends;
use Rundfunk\Medium\Can\Signals;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Spot;

/** A reading of more bits than a board counts with. */
#[Finds('can-signal-too-long', WorkStep::Nodes)]
final readonly class SignalTooLong implements ControlRule
{
    public function check(Control $control, Look $look): iterable
    {
        $node = $look->plan->node($control->nodeId);
        $found = $node->kind->isBought() && $control->kind === ControlKind::Reading ? Signals::of($look->plan, Ends::of($look->plan, $node), $control->terminal) : null;
        if ($found === null || $found[1]->of->bits <= CanSignal::BITS_READ) {
            return [];
        }

        return [Finding::fault(
            "{$found[1]->name} has {$found[1]->of->bits} bits: boards read up to ".CanSignal::BITS_READ,
            Spot::of($control, "{$node->name}, {$control->name}", 'terminal'),
            'The reading is left out of every header.',
            'Describe the part of it that matters as a signal of its own.',
            numbers: ['bits' => $found[1]->of->bits],
            about: [$control->id],
        )];
    }
}
