<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio;

use Rundfunk\Frame\FieldSize;
use Rundfunk\Frame\FrameField;
use Rundfunk\Frame\FrameLayout;
use Rundfunk\Frame\FrameProof;

/** What the program's messages look like inside a packet's payload. */
final readonly class PacketFrame
{
    public static function layout(PacketSettings $settings): FrameLayout
    {
        $fields = [
            new FrameField('code', FieldSize::U8, 'what to do: one of the command codes'),
            new FrameField('argument', FieldSize::I16, 'a value for commands that take one: 1 or 0 for an output that follows, a position; otherwise 0'),
        ];
        if ($settings->senderId) {
            $fields = [
                new FrameField('sender', FieldSize::U8, 'who sends: the sender number of the node'),
                new FrameField('sequence', FieldSize::U8, 'counts up with each new message, the same when it is sent again'),
                ...$fields,
            ];
        }

        return new FrameLayout($settings->payloadBytes, ...$fields, ...($settings->proven ? FrameProof::fields() : []));
    }
}
