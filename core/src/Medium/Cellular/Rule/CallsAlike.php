<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Cellular\Commands;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\RouteNames;

/** One phone whose calls to one modem are to do two things. */
#[Finds('cell-calls-alike', WorkStep::Routes)]
final readonly class CallsAlike implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $first = [];
        foreach ($end->node->kind->isBought() ? [] : Commands::to($look->plan, $end->endpoint) as ['hop' => $hop, 'route' => $route, 'control' => $control]) {
            if ($control->kind !== ControlKind::Call) {
                continue;
            }
            $other = $first[$hop->fromId] ??= $control;
            if ($other->id === $control->id) {
                continue;
            }
            yield Finding::fault(
                "Two different calls from {$look->plan->node($control->nodeId)->name} look the same",
                Spot::of($control, RouteNames::of($look->plan, $route)),
                "A call says who calls and nothing else: {$end->node->name} cannot tell {$other->name} from {$control->name}.",
                'Use a call for one thing and texts for the others.',
                Fix::change("Make {$control->name} a text", $control, ['kind' => ControlKind::Text->value]),
                about: [$other->id, $control->id],
            );
        }
    }
}
