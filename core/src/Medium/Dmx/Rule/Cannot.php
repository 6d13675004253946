<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\HopRule;
use Rundfunk\Check\Leg;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Dmx\DmxSayings;
use Rundfunk\Plan\Spot;

/** Something that is asked of a board of ours and that a slot cannot say. */
#[Finds('dmx-cannot', WorkStep::Routes)]
final readonly class Cannot implements HopRule
{
    public function check(Leg $leg, Look $look): iterable
    {
        if (DmxSayings::canBeTold($look->plan, $leg->hop) || $leg->sender->kind->isBought()) {
            return [];
        }

        return [Finding::fault(
            "{$leg->output->name} of {$leg->receiver->name} cannot {$leg->route->action->value} over {$leg->link->name}",
            Spot::of($leg->route, "{$leg->control->name} → {$leg->output->name}", 'action'),
            'A slot says where it stands, again and again: a board that obeys it sees no press, only a level. The route is left out of the header.',
            'Take on and off, follow or set.',
            numbers: ['action' => $leg->route->action->value],
            about: [$leg->hop->id],
        )];
    }
}
