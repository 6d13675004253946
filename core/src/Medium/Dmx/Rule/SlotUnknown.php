<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\HopRule;
use Rundfunk\Check\Leg;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Dmx\SlotUse;
use Rundfunk\Medium\Dmx\Universe;
use Rundfunk\Plan\Spot;

/** Something that is asked of a lamp and is none of its slots. */
#[Finds('dmx-slot-unknown', WorkStep::Routes)]
final readonly class SlotUnknown implements HopRule
{
    public function check(Leg $leg, Look $look): iterable
    {
        if (! $leg->receiver->kind->isBought() || $leg->output->nodeId !== $leg->receiver->id) {
            return [];
        }
        $one = Universe::of($look->plan, $leg->link)->at($leg->to);
        if ($one?->mode === null || $one->useOf($leg->output->id) !== null) {
            return [];
        }
        $names = array_map(static fn (SlotUse $use): string => $use->slot->name, $one->uses);
        $free = array_values(array_map(static fn (SlotUse $use): string => $use->slot->name, array_filter($one->uses, static fn (SlotUse $use): bool => $use->output === null)));
        $likely = in_array($leg->output->name, $free, true) ? $leg->output->name : (count($free) === 1 ? $free[0] : null);
        // Where a shutter can be down, what a slot does to the light is a choice, not a click.
        $slot = $likely === null ? null : $one->use($likely)?->slot;
        if ($slot !== null && ($slot->opensFrom !== null || ($slot->is->lights() && $one->hasBars()))) {
            $likely = null;
        }

        return [Finding::fault(
            in_array($leg->output->channel, $names, true) ? "{$leg->output->channel} of {$leg->receiver->name} is another function already" : "{$leg->output->name} of {$leg->receiver->name} is none of its slots",
            Spot::of($leg->output, "{$leg->receiver->name}, {$leg->output->name}", 'channel'),
            "In mode \"{$one->mode->name}\" it takes ".($names === [] ? 'nothing' : implode(', ', array_slice($names, 0, 12)).(count($names) > 12 ? ' and more' : '')).'. What is none of these is never told: the route is left out of the header.',
            'Say which slot it is.',
            $likely === null ? null : Fix::change("It is {$likely}", $leg->output, ['channel' => $likely]),
            about: [$leg->hop->id],
        )];
    }
}
