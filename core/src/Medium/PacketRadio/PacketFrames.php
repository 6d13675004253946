<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio;

use Rundfunk\Behaviour\Whole\StateSlot;
use Rundfunk\Behaviour\Whole\WholeState;
use Rundfunk\Frame\PlacedField;
use Rundfunk\Medium\PacketRadio\Shown\PacketFrameFigures;
use Rundfunk\Medium\PacketRadio\Shown\PacketFrameRow;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;

/** What the frames of a link say, for whoever reads them. */
final readonly class PacketFrames
{
    /** @return list<PacketFrameFigures> what is alike in all, then how each sender stands */
    public static function of(Plan $plan, Link $link): array
    {
        $head = PacketFrame::of($plan, $link);
        $figures = [new PacketFrameFigures(null, $head->usedBytes(), array_map(static fn (PlacedField $one): PacketFrameRow => new PacketFrameRow($one->words(), null, $one->field->name, $one->field->doc), $head->placed()))];
        foreach (PacketSettings::of($link)->wholeState ? WholeState::on($plan, $link, new PacketBroadcast) : [] as $state) {
            $figures[] = new PacketFrameFigures($plan->node($state->sender->nodeId)->name, $state->usedBytes(), self::rows($state));
        }

        return $figures;
    }

    /** @return list<PacketFrameRow> */
    private static function rows(WholeState $state): array
    {
        $placed = $state->placed(PacketFrame::HEAD_BYTES);

        return array_map(static fn (StateSlot $slot): PacketFrameRow => new PacketFrameRow($placed[$slot->name]->words(), $placed[$slot->saidName()]->words(), $slot->name, $placed[$slot->name]->field->doc), $state->slots);
    }
}
