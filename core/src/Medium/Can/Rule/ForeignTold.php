<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\HopRule;
use Rundfunk\Check\Leg;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Can\Can;
use Rundfunk\Medium\Can\CanSettings;
use Rundfunk\Plan\Spot;

/** A command that goes over the bus of a vehicle or machine. */
#[Finds('can-foreign-told', WorkStep::Routes)]
final readonly class ForeignTold implements HopRule
{
    public function check(Leg $leg, Look $look): iterable
    {
        if ($leg->link->medium !== Can::KEY || ! CanSettings::of($leg->link)->foreign || $leg->sender->kind->isBought()) {
            return [];
        }

        return [Finding::danger(
            "{$leg->control->name} would send onto {$leg->link->name}, which is not ours",
            Spot::of($leg->route, "{$leg->control->name} → {$leg->output->name}"),
            'What is sent there competes with who says the same periodically and outvotes it, and may make others act. Replaying a recording is sending.',
            'Let it go another way: a bus, a radio or a wire of your own.',
            about: [$leg->hop->id],
        )];
    }
}
