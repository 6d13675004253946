<?php

declare(strict_types=1);

namespace Rundfunk\View;

use Rundfunk\Arbitration\Arbiter;
use Rundfunk\Arbitration\Standing;
use Rundfunk\Arbitration\Turn;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Precedence;
use Rundfunk\Plan\Route;
use Rundfunk\View\Shown\Master;
use Rundfunk\View\Shown\OutputMasters;

/** Who drives an output that several controls drive, and what each does to it as it stands. */
final readonly class OutputMastersView implements View
{
    public function key(): string
    {
        return 'output-masters';
    }

    public function owner(): string
    {
        return Output::class;
    }

    public function shape(): string
    {
        return OutputMasters::class;
    }

    public function of(string $of, Plan $plan, Knowledge $knowledge): ?OutputMasters
    {
        $output = $plan->output($of);
        $routes = $plan->routesTo($output);

        return count($routes) < 2 ? null : new OutputMasters(array_map(static fn (Route $route): Master => self::master($plan, $output, $route, $routes), $routes));
    }

    /** @param  list<Route>  $routes */
    private static function master(Plan $plan, Output $output, Route $route, array $routes): Master
    {
        $arbiter = new Arbiter($output->precedence);
        $control = $plan->control($route->controlId);
        $after = static fn (Standing $standing): bool => $arbiter->hear($standing, $control, $route, Turn::Worked)->on;
        $holder = self::otherHolder($routes, $route);

        return new Master(
            $route->id,
            $after(new Standing(false)),
            $after(new Standing(true)),
            $holder === null ? null : $after(new Standing(true, [$holder->controlId])),
            $output->precedence === Precedence::OffFirst ? $after(new Standing(false, [], true)) : null,
        );
    }

    /** @param  list<Route>  $routes */
    private static function otherHolder(array $routes, Route $route): ?Route
    {
        foreach ($routes as $one) {
            if ($one->controlId !== $route->controlId && $one->action->holds()) {
                return $one;
            }
        }

        return null;
    }
}
