<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Catalogue\Board;
use Rundfunk\Electrical\UartDivider;

/** How far a board's serial port is off its rate. */
final readonly class SerialClock
{
    /** A ceramic resonator, as most 8-bit boards have. Common practice; a crystal is a hundred times better. */
    private const RESONATOR_PERCENT = 0.5;

    /** @return float signed, percent */
    public static function errorPercent(?Board $board, int $baud): float
    {
        // The others make any rate from a fast clock.
        return self::divides($board) && $board !== null ? 100 * UartDivider::error($board->clockMhz, $baud) : 0.0;
    }

    private static function tolerancePercent(?Board $board): float
    {
        return self::divides($board) ? self::RESONATOR_PERCENT : 0.0;
    }

    /** @return float percent by which two may be apart: two of a kind are off alike; what their resonators add is theirs */
    public static function apartPercent(?Board $one, ?Board $other, int $baud): float
    {
        return abs(self::errorPercent($one, $baud) - self::errorPercent($other, $baud)) + self::tolerancePercent($one) + self::tolerancePercent($other);
    }

    private static function divides(?Board $board): bool
    {
        return $board !== null && $board->logicV > 4.0;
    }
}
