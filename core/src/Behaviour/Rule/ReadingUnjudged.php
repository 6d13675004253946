<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Behaviour\FetchesReadings;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\HopRule;
use Rundfunk\Check\Leg;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Spot;

/** A reading of a bought thing switches something, and nobody compares it with its threshold. */
#[Finds('reading-unjudged', WorkStep::Routes)]
final readonly class ReadingUnjudged implements HopRule
{
    public function check(Leg $leg, Look $look): iterable
    {
        $isOwn = $leg->control->kind === ControlKind::Reading && $leg->sender->id === $leg->control->nodeId && $leg->sender->kind->isBought();
        // A figure that is only handed on wants no threshold.
        $isHandedOn = $leg->route->action === Action::Set && $leg->route->value === null;
        if (! $isOwn || $isHandedOn || $look->media->offering(FetchesReadings::class, $leg->link->medium) !== null) {
            return [];
        }

        return [Finding::fault(
            "Nobody compares {$leg->control->name} of {$leg->sender->name} with its threshold",
            Spot::of($leg->control, "{$leg->sender->name}, {$leg->control->name}"),
            "A thing from a shop knows no threshold of yours, and over {$leg->link->name} nobody asks it for its figure: {$leg->output->name} never hears of it.",
            'Take a sensor of your own; or a device on a serial line whose protocol is written down: there a board asks it, and compares.',
            about: [$leg->route->id],
        )];
    }
}
