<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\HopRule;
use Rundfunk\Check\Leg;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Cellular\Commands;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\RouteNames;

/** A text that works something dangerous without a secret. */
#[Finds('cell-text-unproved', WorkStep::Routes)]
final readonly class TextUnproved implements HopRule
{
    public function check(Leg $leg, Look $look): iterable
    {
        $hazard = $leg->output->proofHazards()[0] ?? null;
        $asks = ! $leg->receiver->kind->isBought() && $leg->control->kind === ControlKind::Text && ! $leg->route->putsOff();
        if (! $asks || $hazard === null || Commands::needsSecret($leg->control)) {
            return [];
        }

        return [Finding::danger(
            "A text without a secret works {$leg->output->name}",
            Spot::of($leg->control, RouteNames::of($look->plan, $leg->route), 'secret'),
            "The sender's number can be forged, and {$hazard->words()}.",
            "Let a secret follow the word. It is put in when the board is flashed and is never in the plan. {$hazard->caution()}",
            Fix::settings('Ask for a secret', $leg->control, ['secret' => true]),
            numbers: ['hazard' => $hazard->value],
            about: [$leg->control->id, $leg->route->id],
        )];
    }
}
