<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Infrared\Infrared;
use Rundfunk\Medium\LearnedCodes;
use Rundfunk\Path\RouteNames;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Plan;

/** A press goes over infrared, and nobody has learned what it looks like. */
final readonly class CodeUnknown extends InfraredRule implements LooksNearby
{
    public function key(): string
    {
        return 'ir-code-unknown';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->linksOver(Infrared::KEY) as $link) {
            foreach ($plan->hopsOver($link) as $hop) {
                if (LearnedCodes::of($plan, $hop) !== null) {
                    continue;
                }
                $route = $plan->route($hop->routeId);
                $output = $plan->output($route->outputId);
                $asks = RouteNames::asks($route);
                $toFixture = $plan->node($output->nodeId)->kind === NodeKind::Fixture;
                $name = $toFixture ? $output->name : $plan->control($route->controlId)->name;
                yield new Finding(
                    $this->key(),
                    Severity::Fault,
                    $toFixture ? "No code is known that makes {$name} do \"{$asks}\"" : "The code of {$name} has not been learned",
                    Subject::of($hop, RouteNames::of($plan, $route)." over {$link->name}", 'code'),
                    ['action' => $route->action->value],
                    $toFixture
                        ? "{$plan->node($output->nodeId)->name} obeys only what its own remote sends, and the plan holds no code for that."
                        : 'The receiver cannot wait for what nobody has told it.',
                    'Learn it: capture the key, or import a keymap, and give the code this '.($toFixture ? 'function and action.' : 'key.'),
                );
            }
        }
    }
}
