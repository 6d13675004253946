<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Whole;

/** A frame that says all of its sender, as it was put together or read. */
final readonly class WholeFrame
{
    /**
     * @param  int  $sequence  counts frames of the sender: from nought when it begins, and from {@see AGAIN} once it ran round
     * @param  array<string, int>  $values  by name of the field
     */
    public function __construct(public int $sequence, public array $values)
    {
    }

    /** Below this a sender has begun not long ago. */
    public const AGAIN = 128;

    public const LAST = 255;

    public static function next(int $sequence): int
    {
        return $sequence === self::LAST ? self::AGAIN : $sequence + 1;
    }

    /** Whether its sender has begun anew since an earlier frame: its counts do not go on from there. */
    public function beginsAfter(self $earlier): bool
    {
        return $this->sequence < self::AGAIN && ($earlier->sequence >= self::AGAIN || $this->sequence <= $earlier->sequence);
    }

    public function isThatOf(self $earlier): bool
    {
        return $this->sequence === $earlier->sequence && $this->values === $earlier->values;
    }
}
