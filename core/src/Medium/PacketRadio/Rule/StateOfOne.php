<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Rule;

use Rundfunk\Behaviour\Whole\WholeState;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\PacketRadio\PacketBroadcast;
use Rundfunk\Medium\PacketRadio\PacketFrame;
use Rundfunk\Medium\PacketRadio\PacketSettings;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** Frames that say all, of senders that have one thing to say, over a link that tells what was lost anyway. */
#[Finds('packet-state-of-one', WorkStep::Links)]
final readonly class StateOfOne implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $settings = PacketSettings::of($link);
        // Where nobody acknowledges, even one thing is worth saying so: the next frame makes up for a press that was lost.
        if (! $settings->wholeState || ! $settings->acknowledge) {
            return [];
        }
        $things = array_map(static fn (WholeState $state): int => count($state->slots), WholeState::on($look->plan, $link, new PacketBroadcast));
        if ($things === [] || max($things) > 1) {
            return [];
        }
        $bytes = max($settings->payloadBytes, PacketFrame::of($look->plan, $link->with(['wholeState' => false]))->usedBytes());

        return [Finding::advice(
            "Frames of {$link->name} say all, and there is one thing to say",
            Spot::of($link, $link->name, 'wholeState'),
            'Each sender tells one thing, and what is not acknowledged is sent again: a command a frame does the same, and anybody can read it.',
            'Let each frame be one command. The whole state pays where a sender tells several things at once, or where nobody acknowledges.',
            Fix::settings('One command a frame', $link, ['wholeState' => false, 'payloadBytes' => $bytes]),
        )];
    }
}
