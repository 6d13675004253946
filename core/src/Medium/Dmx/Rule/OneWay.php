<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\HopRule;
use Rundfunk\Check\Leg;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Spot;

/** Something that is expected back from a lamp. */
#[Finds('dmx-one-way', WorkStep::Routes)]
final readonly class OneWay implements HopRule
{
    public function check(Leg $leg, Look $look): iterable
    {
        if (! $leg->sender->kind->isBought() || $leg->sender->fixtureTypeId === null) {
            return [];
        }

        return [Finding::fault(
            "{$leg->sender->name} is to say something over {$leg->link->name}",
            Spot::of($leg->route, "{$leg->control->name} → {$leg->output->name}"),
            'A universe goes one way: what obeys slots has nothing to answer with.',
            'Sense it with a board of your own.',
            about: [$leg->hop->id],
        )];
    }
}
