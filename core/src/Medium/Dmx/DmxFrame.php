<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

/** How long a packet takes on the wire: a break, a mark after it, the start code, then the slots, each of eleven bits. Source: ANSI E1.11. */
final readonly class DmxFrame
{
    public const BAUD = 250_000;

    public const MOST_SLOTS = 512;

    /** A start bit, eight, and two stop bits at 4 µs each. */
    public const SLOT_US = 44;

    public const LEAST_BREAK_US = 92;

    public const LEAST_MARK_US = 12;

    /** From break to break, whatever is sent. */
    public const LEAST_PERIOD_US = 1_204;

    /** Without a packet for so long a receiver counts its data as lost. */
    public const LOST_MS = 1_000;

    /** A break or a mark that takes a second is no packet any more. */
    public const MOST_MARK_US = 999_999;

    /** @param  int  $slots  0 to 512, the start code not counted */
    public function __construct(public int $slots, public int $breakUs = self::LEAST_BREAK_US, public int $markUs = self::LEAST_MARK_US)
    {
    }

    public function periodUs(): int
    {
        return max(self::LEAST_PERIOD_US, $this->untilUs($this->slots));
    }

    /** @return float packets a second, one right behind the other */
    public function refreshHz(): float
    {
        return 1_000_000 / $this->periodUs();
    }

    /** @return int µs from the beginning of the break until a slot has been heard; of slot 0, the start code */
    public function untilUs(int $slot): int
    {
        return $this->breakUs + $this->markUs + self::SLOT_US * ($slot + 1);
    }
}
