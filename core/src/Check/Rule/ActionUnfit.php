<?php

declare(strict_types=1);

namespace Rundfunk\Check\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Edit\Operation;
use Rundfunk\Knowledge;
use Rundfunk\Path\RouteNames;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

/** An action that its control cannot give: a latching switch cannot toggle. */
final readonly class ActionUnfit implements LooksNearby
{
    public function key(): string
    {
        return 'action-unfit';
    }

    public function reads(): array
    {
        return [ThingKind::Node, ThingKind::Control, ThingKind::Output, ThingKind::Route];
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->routes() as $route) {
            $control = $plan->control($route->controlId);
            $fitting = $control->kind->actions();
            $name = RouteNames::of($plan, $route);
            if (! in_array($route->action, $fitting, true)) {
                yield new Finding(
                    $this->key(),
                    Severity::Fault,
                    self::title($control->kind, $route->action),
                    Subject::of($route, $name, 'action'),
                    ['action' => $route->action->value, 'control' => $control->kind->value],
                    self::why($control->kind),
                    'It can do: '.implode(', ', array_map(static fn (Action $action): string => $action->value, $fitting)).'.',
                    new Fix("Make it {$fitting[0]->value}", Operation::change(ThingKind::Route, $route->id, ['action' => $fitting[0]->value, 'pulseMs' => null])),
                );
            } elseif ($route->action === Action::Pulse && $route->pulseMs === null) {
                yield new Finding(
                    $this->key(),
                    Severity::Warning,
                    'A pulse has no length yet',
                    Subject::of($route, $name, 'pulseMs'),
                    [],
                    'Nothing says how long the output stays on.',
                    'Give it a length.',
                    new Fix('Make it one second', Operation::change(ThingKind::Route, $route->id, ['pulseMs' => 1000])),
                    [$route->id, 'pulse'],
                );
            }
        }
    }

    private static function title(ControlKind $kind, Action $action): string
    {
        $what = $kind === ControlKind::Axis ? 'stick' : $kind->words();
        $article = preg_match('/^[aeiou]/', $what) === 1 ? 'An' : 'A';

        return "{$article} {$what} cannot do \"{$action->value}\"";
    }

    private static function why(ControlKind $kind): string
    {
        return match ($kind) {
            ControlKind::Switch => 'A latching switch has a position; an action that ignores it leaves switch and load at odds.',
            ControlKind::Axis => 'A stick gives a value, not a press.',
            ControlKind::Reading => 'A sensor says which side of a threshold it is on, again and again; it does not press.',
            ControlKind::Call => 'A call says who calls and nothing else: there is no value in it, and no letting go.',
            ControlKind::Text, ControlKind::Phrase, ControlKind::Gesture => 'It comes once and is over: there is nothing to hold or follow.',
            ControlKind::Timer, ControlKind::Trigger => 'It happens once and is over: there is nothing to hold or follow.',
            ControlKind::Button, ControlKind::Key, ControlKind::Widget => 'A push button has no position to follow.',
        };
    }
}
