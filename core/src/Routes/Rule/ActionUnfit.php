<?php

declare(strict_types=1);

namespace Rundfunk\Routes\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\RouteRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\RouteNames;

/** An action that its control cannot give: a latching switch cannot toggle. */
#[Finds('action-unfit', WorkStep::Routes)]
final readonly class ActionUnfit implements RouteRule
{
    public function check(Route $route, Look $look): iterable
    {
        $kind = $look->plan->control($route->controlId)->kind;

        return match (true) {
            ! in_array($route->action, $kind->actions(), true) => [self::unfit($route, $kind, $look)],
            $route->action === Action::Pulse && $route->pulseMs === null => [self::unending($route, $look)],
            default => [],
        };
    }

    private static function unfit(Route $route, ControlKind $kind, Look $look): Finding
    {
        $plan = $look->plan;
        $control = $plan->control($route->controlId);
        $output = $plan->output($route->outputId);
        $fitting = $kind->actions();
        $best = array_values(array_filter($fitting, static fn (Action $action): bool => $output->kind->takesValues() || ! $action->takesValue()))[0] ?? null;
        // What can hurt is not to be held from afar by one click, nor put to what a stick says.
        $holds = $best?->holds() === true || ($best === Action::Set && $control->saysValue());
        $best = $holds && $output->isDangerous() && $output->nodeId !== $control->nodeId ? null : $best;

        return Finding::fault(
            self::title($kind, $route->action),
            Spot::of($route, RouteNames::of($plan, $route), 'action'),
            self::why($kind),
            'It can do: '.implode(', ', array_map(static fn (Action $action): string => $action->value, $fitting)).'.',
            $best === null ? null : Fix::change("Make it {$best->value}", $route, ['action' => $best->value, 'value' => null, 'pulseMs' => $best === Action::Pulse ? 1_000 : null]),
            numbers: ['action' => $route->action->value, 'control' => $kind->value],
        );
    }

    private static function unending(Route $route, Look $look): Finding
    {
        return Finding::warning(
            'A pulse has no length yet',
            Spot::of($route, RouteNames::of($look->plan, $route), 'pulseMs'),
            'Nothing says how long the output stays on.',
            'Give it a length.',
            Fix::change('Make it one second', $route, ['pulseMs' => 1000]),
            about: [$route->id, 'pulse'],
        );
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
            ControlKind::State => 'A state is how something stands, told again and again; it does not press.',
            ControlKind::Call => 'A call says who calls and nothing else: there is no value in it, and no letting go.',
            ControlKind::Text, ControlKind::Phrase, ControlKind::Gesture => 'It comes once and is over: there is nothing to hold or follow.',
            ControlKind::Timer, ControlKind::Trigger, ControlKind::Step => 'It happens once and is over: there is nothing to hold or follow.',
            ControlKind::Button, ControlKind::Key, ControlKind::Widget => 'A push button has no position to follow.',
        };
    }
}
