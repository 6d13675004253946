<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\HopRule;
use Rundfunk\Check\Leg;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\PacketRadio\PacketSettings;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\RouteNames;

/** A toggle or a step over a link that does not say whether it arrived. */
#[Finds('packet-toggle-unacknowledged', WorkStep::Routes)]
final readonly class ToggleUnacknowledged implements HopRule
{
    public function check(Leg $leg, Look $look): iterable
    {
        $settings = PacketSettings::of($leg->link);
        // Where frames say all, the next makes up for presses that were lost, and one that comes twice is the same.
        if ($settings->acknowledge || $settings->wholeState) {
            return [];
        }
        if ($leg->route->action->survivesRepetition()) {
            return [];
        }
        $step = $leg->route->action === Action::Step;
        $name = RouteNames::of($look->plan, $leg->route);

        return [Finding::warning(
            "A {$leg->route->action->value} goes over a link that does not acknowledge",
            Spot::of($leg->route, $name, 'action'),
            "When one message of {$name} is lost, or taken twice, the output is ".($step ? 'not where it should be' : 'the wrong way round').' from then on and nothing says so.',
            $step ? 'Send the value instead, or turn acknowledge on.' : 'Send on and off instead, or turn acknowledge on.',
            Fix::settings("Turn acknowledge on for {$leg->link->name}", $leg->link, ['acknowledge' => true]),
            numbers: ['action' => $leg->route->action->value],
            about: [$leg->route->id, $leg->link->id],
        )];
    }
}
