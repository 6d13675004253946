<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\Severity;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Route;

/** A sequence that goes on until it is put off, and that nothing puts off. */
#[Finds('sequence-endless', WorkStep::Routes)]
final readonly class SequenceEndless implements PlanRule
{
    public function check(Look $look): iterable
    {
        $plan = $look->plan;
        foreach (Sequences::in($look)->all as $sequence) {
            $ends = array_filter($plan->routesTo($sequence->output), static fn (Route $route): bool => $route->putsOff() || $route->holdsToControl() || in_array($route->action, [Action::Toggle, Action::Pulse], true));
            $hurts = array_filter($sequence->asked, static fn (array $one): bool => $plan->output($one['route']->outputId)->isDangerous() && ! $one['route']->putsOff());
            if ($sequence->output->setting('passes') !== 0 || $ends !== []) {
                continue;
            }

            yield Finding::of(
                $hurts === [] ? Severity::Warning : Severity::Danger,
                "Nothing stops {$sequence->output->name}",
                $sequence->at($plan, 'passes'),
                'It is gone through until it is put off, and no control puts it off'.($hurts === [] ? '.' : ', though it works what can hurt.'),
                'Route a control to it that puts it off, or let it go through so many times.',
                Fix::settings('Go through once', $sequence->output, ['passes' => 1]),
            );
        }
    }
}
