<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio;

/** The three data rates of a 126-channel packet transceiver. Source: data sheet of the class, from memory. */
enum PacketRate: int
{
    /** Newer parts only; reaches farthest. */
    case Kbps250 = 250;
    case Kbps1000 = 1000;
    case Kbps2000 = 2000;

    /** How wide a transmission is, whole channels of 1 MHz. */
    public function widthMhz(): int
    {
        return $this === self::Kbps2000 ? 2 : 1;
    }

    /** The widest of {@see spacingChannels}. */
    public const WIDEST_SPACING = 4;

    /** How far apart two of the plan's own links should be, channels. */
    public function spacingChannels(): int
    {
        return match ($this) {
            self::Kbps250 => 1,
            self::Kbps1000 => 2,
            self::Kbps2000 => 4,
        };
    }

    public function sensitivityDbm(): float
    {
        return match ($this) {
            self::Kbps250 => -94.0,
            self::Kbps1000 => -85.0,
            self::Kbps2000 => -82.0,
        };
    }

    public function words(): string
    {
        return match ($this) {
            self::Kbps250 => '250 kbit/s',
            self::Kbps1000 => '1 Mbit/s',
            self::Kbps2000 => '2 Mbit/s',
        };
    }
}
