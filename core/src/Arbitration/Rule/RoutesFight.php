<?php

declare(strict_types=1);

namespace Rundfunk\Arbitration\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Deliberate;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Precedence;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\RouteNames;

/** Two routes that want one output in different states at the same time. */
#[Finds('routes-fight', WorkStep::Routes)]
final readonly class RoutesFight implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        if ($output->means(Deliberate::ManyMasters)) {
            return [];
        }
        $routes = $look->plan->routesTo($output);
        $fight = self::fight($routes, $output->precedence);
        if ($fight === null) {
            return [];
        }
        [$one, $other] = $fight;
        $node = $look->plan->node($output->nodeId);

        return [Finding::warning(
            "{$output->name} of {$node->name} has two masters that contradict each other",
            Spot::of($other, RouteNames::of($look->plan, $other), 'action'),
            RouteNames::of($look->plan, $one)." ({$one->action->value}) and ".RouteNames::of($look->plan, $other)." ({$other->action->value}): "
                .($one->controlId === $other->controlId ? 'one press asks for both.' : 'the one holds the output to a position while the other changes it behind its back.'),
            'Drop one, make both act by press (toggle, on, off), let a switch that holds it win, or mark the sharing as meant.',
            self::fight($routes, Precedence::HolderFirst) === null
                ? Fix::change('Let the switch that holds it win', $output, ['precedence' => Precedence::HolderFirst->value])
                : Fix::change('Mark it as meant', $output, ['deliberate' => [...$output->deliberate, Deliberate::ManyMasters->value]]),
            about: [$output->id],
        )];
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
