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
use Rundfunk\Plan\Deliberate;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Precedence;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\ThingKind;

/** Two routes that want one output in different states at the same time. */
final readonly class RoutesFight implements LooksNearby
{
    public function key(): string
    {
        return 'routes-fight';
    }

    public function reads(): array
    {
        return [ThingKind::Node, ThingKind::Control, ThingKind::Output, ThingKind::Route];
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->outputs() as $output) {
            if ($output->means(Deliberate::ManyMasters)) {
                continue;
            }
            $fight = self::fight($plan->routesTo($output), $output->precedence);
            if ($fight === null) {
                continue;
            }
            [$one, $other] = $fight;
            $node = $plan->node($output->nodeId);
            yield new Finding(
                $this->key(),
                Severity::Warning,
                "{$output->name} of {$node->name} has two masters that contradict each other",
                Subject::of($other, RouteNames::of($plan, $other), 'action'),
                [],
                RouteNames::of($plan, $one)." ({$one->action->value}) and ".RouteNames::of($plan, $other)." ({$other->action->value}): "
                    .($one->controlId === $other->controlId ? 'one press asks for both.' : 'the one holds the output to a position while the other changes it behind its back.'),
                'Drop one, make both act by press (toggle, on, off), let a switch that holds it win, or mark the sharing as meant.',
                self::fight([$one, $other], Precedence::HolderFirst) === null
                    ? new Fix('Let the switch that holds it win', Operation::change(ThingKind::Output, $output->id, ['precedence' => Precedence::HolderFirst->value]))
                    : new Fix('Mark it as meant', Operation::change(ThingKind::Output, $output->id, ['deliberate' => [...$output->deliberate, Deliberate::ManyMasters->value]])),
                [$output->id],
            );
        }
    }

    /**
     * @param  list<Route>  $routes
     * @return array{Route, Route}|null
     */
    private static function fight(array $routes, Precedence $precedence): ?array
    {
        foreach ($routes as $index => $one) {
            foreach (array_slice($routes, $index + 1) as $other) {
                $contradict = self::contradict($one, $precedence) || self::contradict($other, $precedence);
                if ($one->controlId === $other->controlId || $contradict) {
                    return [$one, $other];
                }
            }
        }

        return null;
    }

    /** A master that keeps the output to a position is at odds with any other, unless it is to win. */
    private static function contradict(Route $route, Precedence $precedence): bool
    {
        return $route->holdsToControl() && ! ($route->action->holds() && $precedence === Precedence::HolderFirst);
    }
}
