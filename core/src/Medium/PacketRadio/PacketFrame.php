<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio;

use Rundfunk\Behaviour\Whole\WholeState;
use Rundfunk\Frame\FieldSize;
use Rundfunk\Frame\FrameField;
use Rundfunk\Frame\FrameLayout;
use Rundfunk\Frame\FrameProof;
use Rundfunk\Frame\FrameRoom;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;

/** What the program's messages look like inside a packet's payload. */
final readonly class PacketFrame
{
    /** Of a frame that says how all of its sender stands: who, and which. */
    public const HEAD_BYTES = 2;

    /** What a transceiver of this class carries at most. Data sheet, from memory. */
    public const MOST_BYTES = 32;

    public static function of(Plan $plan, Link $link): FrameLayout
    {
        $settings = PacketSettings::of($link);

        return match (true) {
            $settings->wholeState => self::whole($settings, WholeState::bytesOn($plan, $link, new PacketBroadcast)),
            $settings->packed => self::command($settings, PackedCommand::on($plan, $link)->fields()),
            default => self::command($settings, [
                new FrameField('code', FieldSize::u8(), 'what to do: one of the command codes'),
                new FrameField('argument', FieldSize::i16(), 'a value for commands that take one: 1 or 0 for an output that follows, a position; otherwise 0'),
            ]),
        };
    }

    /** @param  list<FrameField>  $fields  of what is asked */
    private static function command(PacketSettings $settings, array $fields): FrameLayout
    {
        if ($settings->senderId) {
            $fields = [
                new FrameField('sender', FieldSize::u8(), 'who sends: the sender number of the node'),
                new FrameField('sequence', FieldSize::u8(), 'counts up with each new message, the same when it is sent again'),
                ...$fields,
            ];
        }

        return new FrameLayout($settings->payloadBytes, [...$fields, ...($settings->proven ? FrameProof::fields() : [])]);
    }

    /** @param  int  $bytes  in which the longest of the link says how it stands */
    private static function whole(PacketSettings $settings, int $bytes): FrameLayout
    {
        $room = $bytes === 0 ? null : new FrameRoom('state', self::HEAD_BYTES, $bytes, 'how the sender stands, whole: laid out for each sender below');

        return new FrameLayout($settings->payloadBytes, [
            new FrameField('sender', FieldSize::u8(), 'who sends: the sender number of the node'),
            new FrameField('sequence', FieldSize::u8(), 'counts frames up, the same when one is sent again; from 0 when the sender begins, from 128 after 255'),
            ...($settings->proven ? FrameProof::fields(self::HEAD_BYTES + $bytes) : []),
        ], $room);
    }
}
