<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\HopRule;
use Rundfunk\Check\Leg;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Serial\SerialLine;
use Rundfunk\Plan\Deliberate;
use Rundfunk\Plan\Hazard;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\RouteNames;

/** What can hurt is told to all at once, and nobody says that he heard it. */
#[Finds('serial-broadcast-unanswered', WorkStep::Routes)]
final readonly class BroadcastUnanswered implements HopRule
{
    public function check(Leg $leg, Look $look): iterable
    {
        $hazard = Hazard::tryFrom($leg->output->hazards[0] ?? '');
        if ($hazard === null || $leg->route->putsOff() || ! SerialLine::of($look->plan, $leg->link)->isToldTogether($leg->to)) {
            return [];
        }

        return [Finding::warning(
            "Nobody says whether {$leg->receiver->name} heard what works {$leg->output->name}",
            Spot::of($leg->route, RouteNames::of($look->plan, $leg->route)),
            "What goes to id 0 is taken by all and answered by none: it is said three times, and that is all. {$hazard->caution()}",
            'Tell it by its own id: the answer says that it came.',
            Fix::change("Tell {$leg->receiver->name} by its own id", $leg->to, ['deliberate' => array_values(array_diff($leg->to->deliberate, [Deliberate::Broadcast->value]))]),
            numbers: ['hazard' => $hazard->value],
            about: [$leg->route->id, $leg->to->id],
        )];
    }
}
