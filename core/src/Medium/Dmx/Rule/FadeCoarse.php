<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\HopRule;
use Rundfunk\Check\Leg;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Dmx\Universe;
use Rundfunk\Plan\FixtureMode;
use Rundfunk\Plan\Spot;

/** A slow fade in eight bits. */
#[Finds('dmx-fade-coarse', WorkStep::Routes)]
final readonly class FadeCoarse implements HopRule
{
    /** Common practice. */
    private const STEP_MS = 200;

    public function check(Leg $leg, Look $look): iterable
    {
        $use = Universe::of($look->plan, $leg->link)->slotOf($leg->hop);
        if ($use === null || $use->slot->fineAt !== null || ! $use->slot->is->lights() || $leg->route->fadeMs < 255 * self::STEP_MS) {
            return [];
        }
        $type = $leg->receiver->fixtureTypeId === null ? null : $look->plan->fixtureType($leg->receiver->fixtureTypeId);
        $finer = array_values(array_filter($type->modes ?? [], static fn (FixtureMode $mode): bool => $mode->slot($use->slot->name)?->fineAt !== null))[0] ?? null;
        $step = intdiv($leg->route->fadeMs, 255);

        return [Finding::advice(
            "{$leg->output->name} of {$leg->receiver->name} fades so slowly that each step shows",
            Spot::of($leg->route, "{$leg->control->name} → {$leg->output->name}", 'fadeMs'),
            "Eight bits are 255 steps: one every {$step} ms, and at the dark end each is seen.",
            $finer === null ? 'Take a mode of sixteen bits, if it has one, or less time.' : "Its mode \"{$finer->name}\" has sixteen bits.",
            null,
            numbers: ['step_ms' => $step],
            about: [$leg->hop->id],
        )];
    }
}
