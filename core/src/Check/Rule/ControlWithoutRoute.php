<?php

declare(strict_types=1);

namespace Rundfunk\Check\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Rule;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Edit\Operation;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

final readonly class ControlWithoutRoute implements Rule
{
    public function key(): string
    {
        return 'control-without-route';
    }

    public function reads(): array
    {
        return [ThingKind::Node, ThingKind::Control, ThingKind::Route];
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->controls() as $control) {
            if ($plan->routesFrom($control) === []) {
                $node = $plan->node($control->nodeId);
                yield new Finding(
                    $this->key(),
                    Severity::Warning,
                    "{$control->name} of {$node->name} does nothing",
                    Subject::of($control, "{$node->name}, {$control->name}"),
                    [],
                    'Someone will press it and think that the link is down.',
                    'Give it an action in the switch table, or remove it.',
                    new Fix("Remove {$control->name}", Operation::remove(ThingKind::Control, $control->id)),
                );
            }
        }
    }
}
