<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio;

use Rundfunk\Behaviour\Whole\CWholeState;
use Rundfunk\Behaviour\Whole\StateSlot;
use Rundfunk\Behaviour\Whole\WholeState;
use Rundfunk\Build\AgreesOn;
use Rundfunk\Build\DescribesEnds;
use Rundfunk\Build\FramesMessages;
use Rundfunk\Build\InsideFrame;
use Rundfunk\Frame\FrameLayout;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;

/** What the builder of an end needs: constants, tables, files. */
final readonly class PacketBuild implements AgreesOn, DescribesEnds, FramesMessages
{
    public function defines(Plan $plan, Endpoint $endpoint): array
    {
        return PacketDefines::of($plan, $endpoint);
    }

    public function layout(Plan $plan, Link $link): FrameLayout
    {
        return PacketFrame::of($plan, $link);
    }

    public function insides(Plan $plan, Endpoint $endpoint): array
    {
        $link = $plan->link($endpoint->linkId);
        if (! PacketSettings::of($link)->wholeState) {
            return [];
        }
        $insides = [];
        $bytes = WholeState::bytesOn($plan, $link, new PacketBroadcast);
        foreach (WholeState::on($plan, $link, new PacketBroadcast) as $state) {
            $own = $state->sender->id === $endpoint->id;
            if ($own || $state->heardBy($endpoint) !== []) {
                $name = $plan->node($state->sender->nodeId)->name;
                $insides[] = new InsideFrame($own ? 'state' : CWholeState::nameOf($state), "How {$name} stands, from byte ".PacketFrame::HEAD_BYTES.' of its frames', $state->layout($bytes));
            }
        }

        return $insides;
    }

    /** Which bit says what, where frames are packed: it follows from what the ends tell, and must not differ between them. */
    public function agreedOn(Plan $plan, Link $link): array
    {
        if (! PacketSettings::saysAll($link)) {
            return ($link->settings['packed'] ?? false) === true ? [PackedCommand::on($plan, $link)->spans()] : [];
        }

        return array_map(static fn (WholeState $state): array => [
            $state->number,
            array_map(static fn (StateSlot $slot): array => [$slot->to, $slot->code, $slot->kind->name, $slot->lowest, $slot->highest], $state->slots),
        ], WholeState::on($plan, $link, new PacketBroadcast));
    }
}
