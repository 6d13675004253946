<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\HopRule;
use Rundfunk\Check\Leg;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\LearnedCodes;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\RouteNames;

/** A press goes over infrared, and nobody has learned what it looks like. */
#[Finds('ir-code-unknown', WorkStep::Routes)]
final readonly class CodeUnknown extends InfraredRule implements HopRule
{
    public function check(Leg $leg, Look $look): iterable
    {
        if (LearnedCodes::of($look->plan, $leg->hop) !== null) {
            return [];
        }
        $asks = RouteNames::asks($leg->route);
        $toFixture = $look->plan->node($leg->output->nodeId)->kind === NodeKind::Fixture;
        $name = $toFixture ? $leg->output->name : $leg->control->name;

        return [Finding::fault(
            $toFixture ? "No code is known that makes {$name} do \"{$asks}\"" : "The code of {$name} has not been learned",
            Spot::of($leg->hop, RouteNames::of($look->plan, $leg->route)." over {$leg->link->name}", 'code'),
            $toFixture
                ? "{$look->plan->node($leg->output->nodeId)->name} obeys only what its own remote sends, and the plan holds no code for that."
                : 'The receiver cannot wait for what nobody has told it.',
            'Learn it: capture the key, or import a keymap, and give the code this '.($toFixture ? 'function and action.' : 'key.'),
            numbers: ['action' => $leg->route->action->value],
        )];
    }
}
