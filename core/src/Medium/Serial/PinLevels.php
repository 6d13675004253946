<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Catalogue\BoardLevels;
use Rundfunk\Check\End;
use Rundfunk\Check\Look;

/** What the pins of one end give and take at logic levels: those of its board, or of the device that was bought. */
final readonly class PinLevels
{
    /** Of its supply, what a CMOS input takes for high and for low at the worst, and what it stands beyond. Common practice. */
    private const HIGH_SHARE = 0.7;

    private const LOW_SHARE = 0.3;

    private const BEYOND_V = 0.3;

    /** What a CMOS output keeps for itself into an input that draws nothing, and at its rated current. Common practice. */
    private const KEEPS_V = 0.1;

    private const KEEPS_RATED_V = 0.5;

    /** @param  float  $logicV  the highest high that it gives */
    private function __construct(public float $logicV, public BoardLevels $levels)
    {
    }

    /** @return self|null null where it has no board, and where nobody said how high a device's pins go */
    public static function of(End $end, Look $look): ?self
    {
        $spoken = $end->node->speaks();
        if ($spoken !== null) {
            $logicV = $look->plan->protocol($spoken)->logicV;

            return $logicV === null ? null : new self($logicV, self::cmos($logicV));
        }
        $board = $look->board($end->node);

        return $board === null ? null : new self($board->logicV, $board->levels);
    }

    private static function cmos(float $supplyV): BoardLevels
    {
        return new BoardLevels(
            highInV: self::HIGH_SHARE * $supplyV,
            lowInV: self::LOW_SHARE * $supplyV,
            mostInV: $supplyV + self::BEYOND_V,
            highOutV: $supplyV - self::KEEPS_V,
            lowOutV: self::KEEPS_V,
            ratedHighV: $supplyV - self::KEEPS_RATED_V,
            ratedLowV: self::KEEPS_RATED_V,
        );
    }
}
