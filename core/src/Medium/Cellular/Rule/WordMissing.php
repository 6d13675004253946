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

final readonly class WordMissing extends CellularRule implements LooksNearby
{
    public function key(): string
    {
        return 'cell-word-missing';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        $seen = [];
        foreach (self::commands($plan, $knowledge) as ['control' => $control]) {
            if ($control->kind !== ControlKind::Text || Commands::word($control) !== null || isset($seen[$control->id])) {
                continue;
            }
            $seen[$control->id] = true;
            $node = $plan->node($control->nodeId);
            yield new Finding(
                $this->key(),
                Severity::Warning,
                "{$control->name} of {$node->name} has no command word yet",
                Subject::of($control, "{$node->name}, {$control->name}", 'word'),
                [],
                'The modem would not know the text when it comes.',
                'Assign proposes one.',
            );
        }
    }
}
