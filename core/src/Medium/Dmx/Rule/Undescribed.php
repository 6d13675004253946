<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Dmx\DmxEnd;

/** A lamp of which nobody knows what its slots are. */
#[Finds('dmx-undescribed', WorkStep::Links)]
final readonly class Undescribed implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        if (! $end->endpoint->role->receives() || ! $end->node->kind->isBought() || $end->node->fixtureTypeId !== null || DmxEnd::of($end->endpoint)->outputs > 0) {
            return [];
        }

        return [Finding::fault(
            "Nobody has said what {$end->node->name} takes on {$end->link->name}",
            $end->at(),
            'How many slots it takes decides where the next one may begin; what they mean decides whether anything shows.',
            'Describe it from its manual, or read its file, and choose that at the node.',
            about: [$end->endpoint->id],
        )];
    }
}
