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
use Rundfunk\Figures;
use Rundfunk\Medium\Serial\SerialEnd;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\RouteNames;

/** What takes its time is turned over by each press, wherever it stands. */
#[Finds('serial-toggle-while-moving', WorkStep::Routes)]
final readonly class ToggleWhileMoving implements HopRule
{
    public function check(Leg $leg, Look $look): iterable
    {
        $restMs = SerialEnd::of($leg->to)->restMs;
        if ($restMs === 0 || $leg->route->action !== Action::Toggle) {
            return [];
        }

        return [Finding::warning(
            "{$leg->output->name} is toggled, and takes ".Figures::significant($restMs / 1_000).' s to be done',
            Spot::of($leg->route, RouteNames::of($look->plan, $leg->route)),
            'A second press in that time is held back, for the same is not told again before it can have arrived; who looks at it does not know what the next press will do.',
            'One key for open and one for shut.',
            Fix::change('Make it on', $leg->route, ['action' => Action::On->value]),
            numbers: ['rest_ms' => $restMs],
            about: [$leg->route->id, $leg->to->id],
        )];
    }
}
