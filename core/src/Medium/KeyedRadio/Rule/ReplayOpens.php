<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\HopRule;
use Rundfunk\Check\Leg;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\RouteNames;

/** Something dangerous hangs on a code that anyone nearby can record and send again. */
#[Finds('keyed-replay', WorkStep::Routes)]
final readonly class ReplayOpens implements HopRule
{
    public function check(Leg $leg, Look $look): iterable
    {
        $hazard = $leg->output->proofHazards()[0] ?? null;
        if ($hazard === null || $leg->route->putsOff()) {
            return [];
        }

        return [Finding::danger(
            "Whoever records {$leg->link->name} can work {$leg->output->name}",
            Spot::of($leg->route, RouteNames::of($look->plan, $leg->route)),
            "Fixed codes are the same at every press: a receiver for a few coins records one from the street and plays it back next week, and {$hazard->words()}.",
            "Never a lock or a gate by this alone: let the fob only switch it off, and switch it on where the sender proves itself. {$hazard->caution()}",
            Fix::change('Let it only switch off', $leg->route, ['action' => Action::Off->value, 'pulseMs' => null]),
            numbers: ['hazard' => $hazard->value],
        )];
    }
}
