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

/** Something dangerous hangs on a call, and who calls can be forged. */
final readonly class CallOpens extends CellularRule implements LooksNearby
{
    public function key(): string
    {
        return 'cell-call-opens';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (self::commands($plan, $knowledge) as ['route' => $route, 'control' => $control, 'output' => $output]) {
            $hazard = $output->proofHazards()[0] ?? null;
            if ($control->kind !== ControlKind::Call || $hazard === null || $route->putsOff()) {
                continue;
            }
            yield new Finding(
                $this->key(),
                Severity::Danger,
                "A forged call works {$output->name}",
                Subject::of($route, RouteNames::of($plan, $route)),
                ['hazard' => $hazard->value],
                "Anyone who knows a number on the list can call as if from it, and {$hazard->words()}. A call may switch a lamp.",
                "Ask for a text with a secret, or let the board call back and wait for a key. {$hazard->caution()}",
                new Fix('Let calls only switch it off', Operation::change(ThingKind::Route, $route->id, ['action' => Action::Off->value, 'pulseMs' => null])),
            );
        }
    }
}
