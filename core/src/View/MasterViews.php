<?php

declare(strict_types=1);

namespace Rundfunk\View;

use Rundfunk\Masters\Arbiter;
use Rundfunk\Masters\Standing;
use Rundfunk\Masters\Turn;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Precedence;
use Rundfunk\Plan\Route;
use Rundfunk\Shape\Schema;

/** Each output that several controls drive: who they are, and what each does to it as it stands. */
final readonly class MasterViews
{
    /**
     * @param  list<Output>|null  $outputs  only these; null for all
     * @return list<array<string, mixed>>
     */
    public static function of(Plan $plan, ?array $outputs = null): array
    {
        $views = [];
        foreach ($outputs ?? $plan->outputs() as $output) {
            $routes = $plan->routesTo($output);
            if (count($routes) > 1) {
                $views[] = [
                    'outputId' => $output->id,
                    'masters' => array_map(static fn (Route $route): array => self::master($plan, $output, $route, $routes), $routes),
                ];
            }
        }

        return $views;
    }

    /** @return array<string, mixed> */
    public static function schema(): array
    {
        return Schema::object(['outputId' => Schema::text(), 'masters' => Schema::listOf(Schema::object([
            'routeId' => Schema::text(), 'whenOff' => Schema::flag(), 'whenOn' => Schema::flag(),
            'whenHeld' => Schema::orNull(Schema::flag()), 'afterOff' => Schema::orNull(Schema::flag()),
        ]))]);
    }

    /**
     * @param  list<Route>  $routes
     * @return array<string, mixed>
     */
    private static function master(Plan $plan, Output $output, Route $route, array $routes): array
    {
        $arbiter = new Arbiter($output->precedence);
        $control = $plan->control($route->controlId);
        $after = static fn (Standing $standing): bool => $arbiter->hear($standing, $control, $route, Turn::Worked)->on;
        $holder = self::otherHolder($routes, $route);

        return [
            'routeId' => $route->id,
            'whenOff' => $after(new Standing(false)),
            'whenOn' => $after(new Standing(true)),
            'whenHeld' => $holder === null ? null : $after(new Standing(true, [$holder->controlId])),
            'afterOff' => $output->precedence === Precedence::OffFirst ? $after(new Standing(false, [], true)) : null,
        ];
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
