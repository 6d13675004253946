<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio\Rule;

use Rundfunk\Behaviour\Rule\NoOff;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\HopRule;
use Rundfunk\Check\Leg;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\RouteNames;
use Rundfunk\Shape\Values;

/** A four-function receiver whose pins answer in another way than the route asks. */
#[Finds('keyed-receiver-cannot', WorkStep::Routes)]
final readonly class ReceiverCannot implements HopRule
{
    public function check(Leg $leg, Look $look): iterable
    {
        $endpoint = $leg->to;
        $class = $endpoint->moduleId === null ? null : $look->catalogue->classOf($look->plan->module($endpoint->moduleId));
        $answers = $class === null ? null : (new Values($class->figures))->textOrNull('answers');
        $fitting = self::fitting($answers);
        if ($fitting === [] || in_array($leg->route->action, $fitting, true)) {
            return [];
        }

        return [Finding::fault(
            "A {$answers} receiver cannot do \"{$leg->route->action->value}\"",
            Spot::of($leg->route, RouteNames::of($look->plan, $leg->route), 'action'),
            match ($answers) {
                'toggle' => 'Its pin changes over at each press and stays: the program sees a level, not a press.',
                default => 'Its pin goes on at a press and stays on until another button is pressed: the program never sees it let go.',
            },
            'Make the route do '.implode(' or ', array_map(static fn (Action $action): string => $action->value, $fitting)).", or fit a momentary receiver to {$look->plan->node($endpoint->nodeId)->name}.",
            self::can($leg, $fitting[0], $look) ? Fix::change("Make it {$fitting[0]->value}", $leg->route, ['action' => $fitting[0]->value, 'pulseMs' => null]) : null,
            numbers: ['answers' => (string) $answers, 'action' => $leg->route->action->value],
            about: [$leg->route->id],
        )];
    }

    private static function can(Leg $leg, Action $action, Look $look): bool
    {
        return in_array($action, $leg->control->kind->actions(), true) && ($action !== Action::On || ! NoOff::wouldStay($leg->output, $look->plan, $leg->route));
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
