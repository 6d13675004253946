<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\NodeRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Cellular\Commands;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Spot;

/** A text that is not answered: whoever sent it does not know what is so. Asked of the phone, at which the text and the state that may come back meet. */
#[Finds('cell-no-answer', WorkStep::Routes)]
final readonly class NoAnswer implements NodeRule
{
    public function check(Node $node, Look $look): iterable
    {
        foreach ($look->plan->controlsOf($node) as $control) {
            if ($control->kind !== ControlKind::Text || Commands::answers($control) || Commands::answeringState($look->plan, $control) !== null || ! Commands::reachModem($look->plan, $control)) {
                continue;
            }

            yield Finding::advice(
                "Nothing answers {$control->name} of {$node->name}",
                Spot::of($control, "{$node->name}, {$control->name}", 'reply'),
                'Lost, late and obeyed look the same from the phone.',
                'Let it answer with the state afterwards, not with what was asked.',
                Fix::settings('Let it answer', $control, ['reply' => true]),
            );
        }
    }
}
