<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits;

use Rundfunk\Catalogue\Board;
use Rundfunk\Catalogue\ModuleLevels;

/** What is left for the couplers of a relay board, whose diodes hang between its signal side and a board's low. */
final readonly class SignalSide
{
    /** In series with the diode on such boards. Common practice. */
    public const SERIES_KOHM = 1.0;

    /** Trade book §13: 0.1 mA does not pull in, 1.8 does. */
    public const LEAST_MA = 1.0;

    /** @return float|null milliamperes, below nought where not even the diode is reached; null where there are no couplers */
    public static function milliamperes(float $volts, Board $board, ?ModuleLevels $levels): ?float
    {
        return $levels?->ledDropV === null ? null : ($volts - $board->levels->lowOutV - $levels->ledDropV) / self::SERIES_KOHM;
    }
}
