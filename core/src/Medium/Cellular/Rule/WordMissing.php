<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Rule;

use Rundfunk\Check\ControlRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Cellular\Commands;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Spot;

#[Finds('cell-word-missing', WorkStep::Routes)]
final readonly class WordMissing implements ControlRule
{
    public function check(Control $control, Look $look): iterable
    {
        if ($control->kind !== ControlKind::Text || Commands::word($control) !== null || ! Commands::reachModem($look->plan, $control)) {
            return [];
        }
        $node = $look->plan->node($control->nodeId);

        return [Finding::warning(
            "{$control->name} of {$node->name} has no command word yet",
            Spot::of($control, "{$node->name}, {$control->name}", 'word'),
            'The modem would not know the text when it comes.',
            'Assign proposes one.',
        )];
    }
}
