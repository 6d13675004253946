<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Edit\Operation;
use Rundfunk\Knowledge;
use Rundfunk\Path\RouteNames;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

/** A toggle by text: texts come late, twice, or in another order. */
final readonly class ToggleByText extends CellularRule implements LooksNearby
{
    public function key(): string
    {
        return 'cell-toggle-by-text';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (self::commands($plan, $knowledge) as ['route' => $route, 'control' => $control, 'output' => $output]) {
            if ($control->kind !== ControlKind::Text || $route->action->survivesRepetition()) {
                continue;
            }
            yield new Finding(
                $this->key(),
                Severity::Warning,
                "{$output->name} is toggled by text",
                Subject::of($route, RouteNames::of($plan, $route), 'action'),
                [],
                'A text may come twice, late, or after the next one: nobody knows then whether it is on.',
                'Use a word for on and a word for off, and let it answer with what is so.',
                new Fix('Make it on', Operation::change(ThingKind::Route, $route->id, ['action' => Action::On->value])),
                [$route->id],
            );
        }
    }
}
