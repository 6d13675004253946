<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\HopRule;
use Rundfunk\Check\Leg;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Serial\Bought\Meant;
use Rundfunk\Plan\KnownDone;
use Rundfunk\Plan\ProtocolItem;
use Rundfunk\Plan\ProtocolItemKind;
use Rundfunk\Plan\Spot;

/** Something takes time, and what is to say that it is done is nothing that the device says. */
#[Finds('serial-done-unknown', WorkStep::Links)]
final readonly class DoneUnknown implements HopRule
{
    public function check(Leg $leg, Look $look): iterable
    {
        $protocol = $leg->receiver->speaks() === null ? null : $look->plan->protocol($leg->receiver->speaks());
        $item = $protocol === null || $leg->output->nodeId !== $leg->receiver->id ? null : Meant::itemOf($leg->output, $protocol);
        if ($protocol === null || $item === null || ! $item->takesTime() || $item->done !== KnownDone::Polled) {
            return [];
        }
        $by = $protocol->item($item->doneBy);
        if ($by?->kind === ProtocolItemKind::Answers && $by->read() !== null) {
            return [];
        }

        return [Finding::fault(
            "Nothing says when {$item->name} of {$leg->receiver->name} is done",
            Spot::of($protocol, $protocol->name, 'items'),
            $item->doneBy === '' ? 'A reading is to say it, and none is named.' : "{$item->doneBy} is no reading that it answers with a figure.",
            'Name the reading; or wait as long as it takes at most.',
            Fix::change('Wait as long as it takes', $protocol, ['items' => array_map(static fn (ProtocolItem $one): array => $one->name === $item->name ? [...$one->values(), 'done' => KnownDone::Waited->value] : $one->values(), $protocol->items)]),
            numbers: ['takes_ms' => $item->takesMs],
            about: [$leg->receiver->id, $leg->output->id],
        )];
    }
}
