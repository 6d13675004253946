<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\RouteNames;

/** A step that works the sequence it is a step of. */
#[Finds('sequence-starts-itself', WorkStep::Routes)]
final readonly class SequenceStartsItself implements PlanRule
{
    public function check(Look $look): iterable
    {
        foreach (Sequences::in($look)->all as $sequence) {
            foreach ($sequence->asked as ['route' => $route]) {
                if ($route->outputId !== $sequence->output->id) {
                    continue;
                }

                yield Finding::fault(
                    "{$sequence->output->name} works itself",
                    Spot::of($route, RouteNames::of($look->plan, $route)),
                    'It is on while its steps are gone through: an on changes nothing, and an off or a toggle stops it half way.',
                    'Let it go through more than once instead, or until it is put off.',
                    Fix::remove('Remove the route', $route),
                    about: [$route->id],
                );
            }
        }
    }
}
