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
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

/** One phone whose calls to one modem are to do two things. */
final readonly class CallsAlike extends CellularRule implements LooksNearby
{
    public function key(): string
    {
        return 'cell-calls-alike';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        $first = [];
        foreach (self::commands($plan, $knowledge) as ['modem' => $modem, 'hop' => $hop, 'route' => $route, 'control' => $control]) {
            if ($control->kind !== ControlKind::Call) {
                continue;
            }
            $key = "{$hop->fromId} {$modem->endpoint->id}";
            $other = $first[$key] ?? null;
            $first[$key] ??= ['control' => $control, 'route' => $route];
            if ($other === null || $other['control']->id === $control->id) {
                continue;
            }
            yield new Finding(
                $this->key(),
                Severity::Fault,
                "Two different calls from {$plan->node($control->nodeId)->name} look the same",
                Subject::of($control, RouteNames::of($plan, $route)),
                [],
                "A call says who calls and nothing else: {$modem->node->name} cannot tell {$other['control']->name} from {$control->name}.",
                'Use a call for one thing and texts for the others.',
                new Fix("Make {$control->name} a text", Operation::change(ThingKind::Control, $control->id, ['kind' => ControlKind::Text->value])),
                [$other['control']->id, $control->id],
            );
        }
    }
}
