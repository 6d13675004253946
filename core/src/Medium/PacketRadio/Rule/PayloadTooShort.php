<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\PacketRadio\PacketFrame;
use Rundfunk\Medium\PacketRadio\PacketSettings;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

#[Finds('packet-payload-too-short', WorkStep::Links)]
final readonly class PayloadTooShort implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $layout = PacketFrame::of($look->plan, $link);
        if ($layout->fits()) {
            return [];
        }
        $never = $layout->usedBytes() > PacketFrame::MOST_BYTES;

        return [Finding::fault(
            "A payload of {$layout->lengthBytes} bytes does not hold the frame",
            Spot::of($link, $link->name, 'payloadBytes'),
            "The frame of {$link->name} takes {$layout->usedBytes()} bytes; what does not fit would be cut off and read as nought.",
            $never ? 'No payload is so long: let each frame be one command, or share the senders between two links.' : 'Lengthen the payload.',
            $never ? self::commands($look, $link) : Fix::settings("Set {$layout->usedBytes()} bytes", $link, ['payloadBytes' => $layout->usedBytes()]),
            numbers: ['payload_bytes' => $layout->lengthBytes, 'needed_bytes' => $layout->usedBytes()],
        )];
    }

    private static function commands(Look $look, Link $link): Fix
    {
        $bytes = PacketFrame::of($look->plan, $link->with(['wholeState' => false]))->usedBytes();

        return Fix::settings('One command a frame', $link, ['wholeState' => false, 'payloadBytes' => max($bytes, PacketSettings::of($link)->payloadBytes)]);
    }
}
