<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio;

/**
 * Whether two senders that collided once collide again and again. A difference of delays helps only when, after a few
 * retries, one is clear of the other's whole exchange. Common practice.
 */
final readonly class RetryClash
{
    /** Retries by which two senders should have come apart. */
    public const SOON = 4;

    public function __construct(private int $exchangeNs)
    {
    }

    public static function of(PacketSettings $settings): self
    {
        $air = $settings->air();

        return new self($air->frameNs($settings->payloadBytes) + PacketAir::TURN_NS + $air->acknowledgeNs());
    }

    /** After how many retries they are apart; null when not within {@see SOON}. */
    public function apartAfter(int $oneUs, int $otherUs): ?int
    {
        $differenceNs = abs($oneUs - $otherUs) * 1000;
        for ($retries = 1; $retries <= self::SOON; $retries++) {
            if ($retries * $differenceNs >= $this->exchangeNs) {
                return $retries;
            }
        }

        return null;
    }

    public function exchangeUs(): float
    {
        return $this->exchangeNs / 1000;
    }

    /** The smallest difference that helps, microseconds, a legal step. */
    public function leastDifferenceUs(): int
    {
        return (int) ceil($this->exchangeNs / 1000 / self::SOON / RetryDelay::STEP_US) * RetryDelay::STEP_US;
    }
}
