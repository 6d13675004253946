<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Edit\Operation;
use Rundfunk\Knowledge;
use Rundfunk\Path\RouteNames;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Shape\Values;
use Rundfunk\Plan\ThingKind;

/** A four-function receiver whose pins answer in another way than the route asks. */
final readonly class ReceiverCannot extends KeyedRule implements LooksNearby
{
    public function key(): string
    {
        return 'keyed-receiver-cannot';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (self::hops($plan) as ['link' => $link, 'hop' => $hop, 'route' => $route]) {
            $endpoint = $plan->endpoint($hop->toId);
            $class = $endpoint->moduleId === null ? null : $knowledge->catalogue->classOf($plan->module($endpoint->moduleId));
            $answers = $class === null ? null : (new Values($class->figures))->textOrNull('answers');
            $fitting = self::fitting($answers);
            if ($fitting === [] || in_array($route->action, $fitting, true)) {
                continue;
            }
            yield new Finding(
                $this->key(),
                Severity::Fault,
                "A {$answers} receiver cannot do \"{$route->action->value}\"",
                Subject::of($route, RouteNames::of($plan, $route), 'action'),
                ['answers' => (string) $answers, 'action' => $route->action->value],
                match ($answers) {
                    'toggle' => 'Its pin changes over at each press and stays: the program sees a level, not a press.',
                    default => 'Its pin goes on at a press and stays on until another button is pressed: the program never sees it let go.',
                },
                'Make the route do '.implode(' or ', array_map(static fn (Action $action): string => $action->value, $fitting)).", or fit a momentary receiver to {$plan->node($endpoint->nodeId)->name}.",
                new Fix("Make it {$fitting[0]->value}", Operation::change(ThingKind::Route, $route->id, ['action' => $fitting[0]->value, 'pulseMs' => null])),
                [$route->id],
            );
        }
    }

    /** @return list<Action> none when anything goes */
    private static function fitting(?string $answers): array
    {
        return match ($answers) {
            'toggle' => [Action::Toggle],
            'latched' => [Action::On],
            default => [],
        };
    }
}
