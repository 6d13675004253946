<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

/** A time of day, an interval, or both. */
final readonly class Clock
{
    /** A minute of the day that nobody knows. */
    public const UNKNOWN = -1;

    public const DAY = 1_440;

    /** A clock that jumps by more than this was set anew: what lay between did not pass. */
    public const SET_ANEW = 90;

    /**
     * @param  int  $atMinute  0–1439; −1 for none
     * @param  int  $everyMs  0 for never
     */
    public function __construct(public string $name, public int $atMinute, public int $everyMs, public Does $does)
    {
    }
}
