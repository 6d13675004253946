<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\HopRule;
use Rundfunk\Check\Leg;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Ip\IpSettings;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\RouteNames;

/** A toggle over a link on which a message may come twice, or not at all. */
#[Finds('ip-toggle-twice', WorkStep::Routes)]
final readonly class ToggleTwice implements HopRule
{
    public function check(Leg $leg, Look $look): iterable
    {
        $settings = IpSettings::of($leg->link);
        if ($settings->qos === 2 || $leg->route->action->survivesRepetition()) {
            return [];
        }

        $step = $leg->route->action === Action::Step;

        return [Finding::warning(
            "{$leg->output->name} is {$leg->route->action->done()} where a message may ".($settings->qos === 1 ? 'come twice' : 'be lost'),
            Spot::of($leg->route, RouteNames::of($look->plan, $leg->route), 'action'),
            $settings->qos === 1 ? "QoS 1 sends again when the answer is late: twice {$leg->route->action->done()} is not {$leg->route->action->done()}." : 'QoS 0 does not ask whether it arrived: what was lost leaves it '.($step ? 'where it was.' : 'the wrong way round.'),
            $step ? 'Set it to a value, as its state topic says which; or QoS 2.' : 'Use on and off, as its state topic says which; or QoS 2.',
            Fix::settings('Set QoS 2', $leg->link, ['qos' => 2]),
            numbers: ['qos' => $settings->qos],
            about: [$leg->route->id, $leg->link->id],
        )];
    }
}
