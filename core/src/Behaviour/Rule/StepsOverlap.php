<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\RouteNames;

/** A pulse that is cut short by the next step for the same output. */
#[Finds('steps-overlap', WorkStep::Routes)]
final readonly class StepsOverlap implements PlanRule
{
    public function check(Look $look): iterable
    {
        foreach (Sequences::in($look)->all as $sequence) {
            foreach ($sequence->byOutput() as $id => $asked) {
                foreach ($asked as $index => ['atMs' => $at, 'route' => $route]) {
                    $next = $asked[$index + 1] ?? null;
                    $pulse = $route->action === Action::Pulse ? $route->pulseMs ?? 1_000 : 0;
                    if ($next === null || $pulse <= $next['atMs'] - $at) {
                        continue;
                    }
                    $left = $next['atMs'] - $at;

                    yield Finding::warning(
                        "{$sequence->output->name} cuts a pulse of {$look->plan->output($id)->name} short",
                        Spot::of($route, RouteNames::of($look->plan, $route), 'pulseMs'),
                        'It is to last '.Figures::duration($pulse * 1_000_000).', and the next step for the same output comes after '.Figures::duration($left * 1_000_000).'.',
                        'Let the next step come later, or make the pulse shorter.',
                        $left >= 10 ? Fix::change('Make it '.Figures::duration($left * 1_000_000), $route, ['pulseMs' => $left]) : null,
                        numbers: ['pulse_ms' => $pulse, 'left_ms' => $left],
                        about: [$sequence->output->id, $route->id],
                    );
                }
            }
        }
    }
}
