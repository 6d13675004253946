<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\RouteNames;

/** A motor that is turned round while it still runs the other way. */
#[Finds('reverses-at-once', WorkStep::Routes)]
final readonly class ReversesAtOnce implements PlanRule
{
    /** Common practice. */
    private const REST_MS = 500;

    public function check(Look $look): iterable
    {
        foreach (Sequences::in($look)->all as $sequence) {
            foreach ($sequence->byOutput() as $id => $asked) {
                $output = $look->plan->output($id);
                // Which way it last turned, and since when it rests; null while it still turns.
                $way = 0;
                $restsSince = 0;
                foreach ($output->kind === OutputKind::Motor ? $asked : [] as ['atMs' => $at, 'route' => $route]) {
                    $value = self::value($route);
                    if ($value * $way < 0 && ($restsSince === null || $at - $restsSince < self::REST_MS)) {
                        yield Finding::warning(
                            "{$output->name} is turned round while it runs",
                            Spot::of($route, RouteNames::of($look->plan, $route), 'value'),
                            'A motor that is reversed at full speed takes several times its current and strains gears and bridge: let it rest for half a second first.',
                            'Put a step before it that sets 0, and let this one come half a second later.',
                            about: [$sequence->output->id, $route->id],
                        );
                    }
                    $restsSince = $value === 0 ? $restsSince ?? $at : null;
                    $way = $value === 0 ? $way : $value <=> 0;
                }
            }
        }
    }

    private static function value(Route $route): int
    {
        return match (true) {
            $route->putsOff() => 0,
            $route->action === Action::Set => $route->value ?? 0,
            default => 1,
        };
    }
}
