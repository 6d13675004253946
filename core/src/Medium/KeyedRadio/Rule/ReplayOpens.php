<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Edit\Operation;
use Rundfunk\Knowledge;
use Rundfunk\Path\RouteNames;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

/** Something dangerous hangs on a code that anyone nearby can record and send again. */
final readonly class ReplayOpens extends KeyedRule implements LooksNearby
{
    public function key(): string
    {
        return 'keyed-replay';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (self::hops($plan) as ['link' => $link, 'route' => $route, 'output' => $output]) {
            $hazard = $output->proofHazards()[0] ?? null;
            if ($hazard === null || $route->putsOff()) {
                continue;
            }
            yield new Finding(
                $this->key(),
                Severity::Danger,
                "Whoever records {$link->name} can work {$output->name}",
                Subject::of($route, RouteNames::of($plan, $route)),
                ['hazard' => $hazard->value],
                "Fixed codes are the same at every press: a receiver for a few coins records one from the street and plays it back next week, and {$hazard->words()}.",
                "Never a lock or a gate by this alone: let the fob only switch it off, and switch it on where the sender proves itself. {$hazard->caution()}",
                new Fix('Let it only switch off', Operation::change(ThingKind::Route, $route->id, ['action' => Action::Off->value, 'pulseMs' => null])),
            );
        }
    }
}
