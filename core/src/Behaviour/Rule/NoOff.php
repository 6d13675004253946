<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Behaviour\Answers;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Spot;

/** Something that can hurt is switched on, and by nothing off. */
#[Finds('no-off', WorkStep::Routes)]
final readonly class NoOff implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        $hazard = $output->proofHazards()[0] ?? null;
        if ($hazard === null || ! $output->kind->switches()) {
            return [];
        }
        $goes = false;
        if (self::isEnded($output, $look->plan)) {
            return [];
        }
        foreach ($look->plan->routesTo($output) as $route) {
            $goes = $goes || $route->action === Action::On || $route->action === Action::Set || ($route->action === Action::Step && ($route->value ?? 1) > 0);
        }

        return ! $goes ? [] : [Finding::danger(
            "Nothing switches {$output->name} off",
            Spot::of($output, "{$output->name} of {$look->plan->node($output->nodeId)->name}"),
            "It is switched on, and {$hazard->words()}: then it stays so until somebody pulls the plug.",
            "Route a control to it that puts it off, or make what puts it on a pulse. {$hazard->caution()}",
            numbers: ['hazard' => $hazard->value],
        )];
    }

    /** What can hurt would stay on for good, were a route to it made to put it on: nothing else puts it off. */
    public static function wouldStay(Output $output, Plan $plan, Route $made): bool
    {
        return $output->proofHazards() !== [] && ! self::isEnded($output, $plan, $made);
    }

    /** Something puts it off again, or lets go of it by itself. */
    private static function isEnded(Output $output, Plan $plan, ?Route $without = null): bool
    {
        foreach ($plan->routesTo($output) as $route) {
            // Its own state says how it stands, and never otherwise.
            $circles = Answers::of($plan, $plan->control($route->controlId))?->id === $output->id;
            if ($route->id !== $without?->id && ! $circles && self::endsIt($route)) {
                return true;
            }
        }

        return false;
    }

    private static function endsIt(Route $route): bool
    {
        return $route->putsOff() || $route->holdsToControl() || $route->action === Action::Toggle || $route->action === Action::Pulse || ($route->action === Action::Step && ($route->value ?? 1) < 0);
    }
}
