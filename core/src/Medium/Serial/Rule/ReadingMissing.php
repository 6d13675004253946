<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\ControlRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Serial\Bought\Choices;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Spot;

/** A control of a bought device that is nothing which the device says. */
#[Finds('serial-reading-missing', WorkStep::Nodes)]
final readonly class ReadingMissing implements ControlRule
{
    public function check(Control $control, Look $look): iterable
    {
        $node = $look->plan->node($control->nodeId);
        $protocol = $node->speaks() === null ? null : $look->plan->protocol($node->speaks());
        if ($protocol === null || ! in_array($control->kind, [ControlKind::Reading, ControlKind::Key], true) || Choices::is($control, $protocol)) {
            return [];
        }
        $item = Choices::reading($look->plan, $control, $protocol);

        return [Finding::fault(
            $control->terminal === null ? "{$control->name} of {$node->name} is nothing that it says yet" : "{$node->name} says no {$control->terminal}".($control->kind === ControlKind::Key ? ' unasked' : ''),
            Spot::of($control, "{$node->name}, {$control->name}", 'terminal'),
            $control->kind === ControlKind::Key ? 'A key of it is something that it says unasked.' : 'A reading of it is something that it answers with a figure, says unasked, or a function that takes time and is done some day.',
            'Choose what is meant; or write it down with the others.',
            $item === null ? null : Fix::change("Make it {$item->name}", $control, ['terminal' => $item->name]),
            numbers: ['reading' => $control->terminal ?? 'none'],
            about: [$control->id],
        )];
    }
}
