<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio;

use Rundfunk\OutOfRange;

/**
 * How long a sender must wait before it sends again, so that the acknowledge can arrive. The data sheet's table rules;
 * the formula (turn-round plus acknowledge) never asks for more. Source: data sheet of the class, from memory.
 */
final readonly class RetryDelay
{
    public const STEP_US = 250;

    public const LONGEST_US = 4_000;

    /** @return int microseconds, a legal step */
    public static function minimumUs(PacketRate $rate, int $acknowledgePayloadBytes): int
    {
        OutOfRange::unless('ack_payload_bytes', $acknowledgePayloadBytes, 0, 32);

        return match ($rate) {
            PacketRate::Kbps250 => match (true) {
                $acknowledgePayloadBytes === 0 => 500,
                $acknowledgePayloadBytes <= 8 => 750,
                $acknowledgePayloadBytes <= 16 => 1000,
                $acknowledgePayloadBytes <= 24 => 1250,
                default => 1500,
            },
            PacketRate::Kbps1000 => $acknowledgePayloadBytes <= 5 ? 250 : 500,
            PacketRate::Kbps2000 => $acknowledgePayloadBytes <= 15 ? 250 : 500,
        };
    }

    /** The shortest step that leaves room for turn-round and acknowledge by arithmetic alone, microseconds. */
    public static function arithmeticUs(PacketAir $air, int $acknowledgePayloadBytes): int
    {
        $neededNs = PacketAir::TURN_NS + $air->acknowledgeNs($acknowledgePayloadBytes);

        return (int) ceil($neededNs / (self::STEP_US * 1000)) * self::STEP_US;
    }
}
