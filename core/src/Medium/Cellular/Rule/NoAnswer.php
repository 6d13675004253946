<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Cellular\Commands;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Plan;

/** A text that is not answered: whoever sent it does not know what is so. */
final readonly class NoAnswer extends CellularRule implements LooksNearby
{
    public function key(): string
    {
        return 'cell-no-answer';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        $seen = [];
        foreach (self::commands($plan, $knowledge) as ['control' => $control]) {
            if ($control->kind !== ControlKind::Text || Commands::answers($control) || isset($seen[$control->id])) {
                continue;
            }
            $seen[$control->id] = true;
            $node = $plan->node($control->nodeId);
            yield new Finding(
                $this->key(),
                Severity::Advice,
                "Nothing answers {$control->name} of {$node->name}",
                Subject::of($control, "{$node->name}, {$control->name}", 'reply'),
                [],
                'Lost, late and obeyed look the same from the phone.',
                'Let it answer with the state afterwards, not with what was asked.',
                self::setControl($control, 'Let it answer', ['reply' => true]),
            );
        }
    }
}
