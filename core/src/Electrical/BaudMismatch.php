<?php

declare(strict_types=1);

namespace Rundfunk\Electrical;

use Rundfunk\OutOfRange;

/**
 * Two clocks on one serial line. A receiver counts from the edge of the start bit and looks at the middle of each bit, so that the last of
 * a character must not have drifted by half a bit: what counts is the signed difference of both ends. Source: arithmetic.
 */
final readonly class BaudMismatch
{
    /** Where to warn and where to call it wrong, percent. Common practice: the rest is for edges that are not steep and lines that ring. */
    public const DOUBTFUL_PERCENT = 2.0;

    public const WRONG_PERCENT = 4.0;

    public float $differencePercent;

    /**
     * @param  int  $bits  of one character, start and stop bits included
     *
     * @throws OutOfRange
     */
    public function __construct(float $error1Percent, float $error2Percent, public int $bits)
    {
        OutOfRange::unless('error1_percent', $error1Percent, -100, 100);
        OutOfRange::unless('error2_percent', $error2Percent, -100, 100);
        OutOfRange::unless('bits', $bits, 7, 13);
        $this->differencePercent = abs($error1Percent - $error2Percent);
    }

    /** At which the middle of the last bit is its edge. */
    public function limitPercent(): float
    {
        return 100 * 0.5 / ($this->bits - 0.5);
    }

    public function reads(): bool
    {
        return $this->differencePercent < $this->limitPercent();
    }
}
