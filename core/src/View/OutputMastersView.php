<?php

declare(strict_types=1);

namespace Rundfunk\View;

use Rundfunk\Arbitration\Arbiter;
use Rundfunk\Arbitration\Ask;
use Rundfunk\Arbitration\Range;
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
        $range = Range::of($output);
        $arbiter = new Arbiter($output->precedence, $range);
        $ask = Ask::of($plan->control($route->controlId), $route);
        $after = static fn (Standing $standing): bool => $arbiter->isOn($arbiter->hear($standing, $ask, Turn::Worked));
        $off = new Standing($range->off);
        $on = new Standing($range->on());

        return new Master(
            $route->id,
            $after($off),
            $after($on),
            self::isHeldByAnother($routes, $route) ? $after(new Standing($on->value, [$ask->master + 1])) : null,
            $output->precedence === Precedence::OffFirst ? $after(new Standing($off->value, [], true)) : null,
        );
    }

    /** @param  list<Route>  $routes */
    private static function isHeldByAnother(array $routes, Route $route): bool
    {
        foreach ($routes as $one) {
            if ($one->controlId !== $route->controlId && $one->action->holds()) {
                return true;
            }
        }

        return false;
    }
}
